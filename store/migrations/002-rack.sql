-- A board's record is written and read whole: as json it needs no taking apart on the way.
alter table board alter column body type json;
-- A board that has left the rack keeps its row, so that its history can be told; only those that have not left are on the rack.
alter table board
  add column left_at timestamptz,
  add column left_why text check (left_why in ('cut', 'taken off')),
  add column cut_by uuid,
  add column species text generated always as (body ->> 'species') stored,
  add column length numeric generated always as ((body ->> 'length')::numeric) stored,
  add column width numeric generated always as ((body ->> 'width')::numeric) stored,
  add column thickness numeric generated always as ((body ->> 'thickness')::numeric) stored,
  add column tree text generated always as (body ->> 'tree') stored,
  add column shelf text generated always as (body ->> 'shelf') stored,
  add column cut_from text generated always as (nullif(body ->> 'cutFrom', '')) stored,
  -- B2 before B10
  add column name_order text generated always as (coalesce(substring(id from '^[^0-9]*'), '') || lpad(coalesce(substring(id from '[0-9]+'), ''), 9, '0') || id) stored;
create index board_rack on board (workshop_id, name_order) where left_at is null;
create index board_species on board (workshop_id, species, name_order) where left_at is null;
create index board_length on board (workshop_id, length, name_order) where left_at is null;
create index board_width on board (workshop_id, width, name_order) where left_at is null;
create index board_cut_by on board (workshop_id, cut_by) where cut_by is not null;
create index board_cut_from on board (workshop_id, cut_from) where cut_from is not null;

create table board_event (
  workshop_id uuid not null,
  board_id text not null,
  n bigint generated always as identity,
  at timestamptz not null default now(),
  kind text not null check (kind in ('added', 'bought', 'changed', 'reserved', 'released', 'cut', 'offcut', 'put together again', 'taken off')),
  body jsonb not null default '{}',
  primary key (workshop_id, board_id, n),
  foreign key (workshop_id, board_id) references board on delete cascade
);

-- A long search, taken by any runner; what it has found so far stays with it, so that another runner can go on.
create table search_job (
  workshop_id uuid not null references workshop on delete cascade,
  id uuid not null default gen_random_uuid(),
  piece_id uuid not null,
  state text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'stopped', 'failed')),
  inputs jsonb not null,
  best jsonb,
  message text,
  attempts integer not null default 0,
  -- the runner that holds it now: one that was taken for dead and comes back finds another's name here
  holder uuid,
  lease_until timestamptz,
  created_at timestamptz not null default now(),
  primary key (workshop_id, id),
  foreign key (workshop_id, piece_id) references piece on delete cascade
);
create index search_job_open on search_job (created_at) where state in ('waiting', 'running');

-- Orders to a merchant; `boards` arrive on the rack when the order is received.
create table merchant_order (
  workshop_id uuid not null references workshop on delete cascade,
  id uuid not null default gen_random_uuid(),
  piece_id uuid,
  merchant text not null,
  boards jsonb not null,
  total numeric not null,
  currency text not null,
  ordered_on date not null,
  due_on date not null,
  received_at timestamptz,
  primary key (workshop_id, id)
);

alter table workshop add column price_list jsonb;

-- The rack says whose a board is without reading the whole piece; each save of the piece keeps its name here.
alter table board_reservation add column piece_name text not null default '';
update board_reservation r set piece_name = s.body ->> 'name'
  from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
 where p.workshop_id = r.workshop_id and p.id = r.piece_id;
