-- What the bench shows of a piece, kept small beside it. `seen` is the oldest transaction that had not ended when it was planned: whatever a
-- later one changes of what the plan rests on makes the summary old.
create table piece_summary (
  workshop_id uuid not null,
  piece_id uuid not null,
  revision integer not null,
  card jsonb,
  species text not null default '',
  taller text not null default '',
  today date,
  seen xid8 not null default '0',
  planned_at timestamptz not null default now(),
  -- a runner that is at it; another leaves it alone until then
  held_until timestamptz not null default '-infinity',
  primary key (workshop_id, piece_id),
  foreign key (workshop_id, piece_id) references piece on delete cascade
);

-- A stage of a plan that threw, with what it takes to repeat it; once a piece, state, stage and message.
create table plan_failure (
  workshop_id uuid not null references workshop on delete cascade,
  piece_id uuid not null,
  state integer not null,
  stage text not null,
  message text not null,
  stack text not null,
  inputs jsonb not null,
  at timestamptz not null default now(),
  primary key (workshop_id, piece_id, state, stage, message)
);

-- Which wood an event is about, and in which transaction it came: a summary asks only whether anything of its wood came later.
alter table board_event add column species text, add column xid xid8 not null default pg_current_xact_id();
create index board_event_species on board_event (workshop_id, species, xid);
alter table workshop add column changed xid8 not null default pg_current_xact_id();

-- Boards written before their bounds were known are mended as they are read; whoever tightens a bound sets this back to false.
alter table board add column checked boolean not null default false;
-- Boards of a wood in an order that is no order: a part of them is a fair sample.
alter table board add column shuffle text generated always as (md5(id)) stored;
create index board_shuffle on board (workshop_id, species, shuffle) where left_at is null;
create index piece_bench on piece (workshop_id, put_away, saved_at desc, id);

-- What a piece names, whether or not it has it: a board that is freed goes to the piece that has wanted it longest.
create table board_want (
  workshop_id uuid not null,
  piece_id uuid not null,
  board_id text not null,
  since timestamptz not null default clock_timestamp(),
  primary key (workshop_id, piece_id, board_id),
  foreign key (workshop_id, piece_id) references piece on delete cascade
);
create index board_want_board on board_want (workshop_id, board_id, since);
insert into board_want (workshop_id, piece_id, board_id, since) select workshop_id, piece_id, board_id, reserved_at from board_reservation;
insert into board_want (workshop_id, piece_id, board_id)
  select p.workshop_id, p.id, named.board
    from piece p
    join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head,
    lateral (select distinct each ->> 'board' as board
               from jsonb_array_elements(jsonb_path_query_array(s.body, 'lax $.panel.strips[*]') || jsonb_path_query_array(s.body, 'lax $.cutting.sections[*]')) each) named
   where not p.put_away and named.board is not null
     and not exists (select 1 from jsonb_path_query(s.body, 'lax $.cutting.sawn[*].board.id') cut where cut #>> '{}' = named.board)
  on conflict do nothing;
