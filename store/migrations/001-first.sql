-- Every row belongs to a workshop. A piece's states form a tree: an edit adds one, undo and redo move the head along it.
create table workshop (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  shop jsonb not null,
  created_at timestamptz not null default now()
);

create table species (
  workshop_id uuid not null references workshop on delete cascade,
  id text not null,
  body jsonb not null,
  primary key (workshop_id, id)
);

create table board (
  workshop_id uuid not null references workshop on delete cascade,
  id text not null,
  body jsonb not null,
  added_at timestamptz not null default now(),
  primary key (workshop_id, id)
);

create table piece (
  workshop_id uuid not null references workshop on delete cascade,
  id uuid not null default gen_random_uuid(),
  revision integer not null default 1,
  head integer not null default 1,
  tip integer not null default 1,
  put_away boolean not null default false,
  created_at timestamptz not null default now(),
  saved_at timestamptz not null default now(),
  primary key (workshop_id, id)
);

create table piece_state (
  workshop_id uuid not null,
  piece_id uuid not null,
  n integer not null,
  parent integer,
  label text not null,
  body jsonb not null,
  primary key (workshop_id, piece_id, n),
  foreign key (workshop_id, piece_id) references piece on delete cascade,
  foreign key (workshop_id, piece_id, parent) references piece_state on delete cascade
);

create table piece_revision (
  workshop_id uuid not null,
  piece_id uuid not null,
  revision integer not null,
  state integer not null,
  saved_at timestamptz not null default now(),
  primary key (workshop_id, piece_id, revision),
  foreign key (workshop_id, piece_id, state) references piece_state on delete cascade
);

-- One reservation a board: the primary key is the guarantee.
create table board_reservation (
  workshop_id uuid not null,
  board_id text not null,
  piece_id uuid not null,
  reserved_at timestamptz not null default now(),
  primary key (workshop_id, board_id),
  foreign key (workshop_id, board_id) references board on delete cascade,
  foreign key (workshop_id, piece_id) references piece on delete cascade
);
create index board_reservation_piece on board_reservation (workshop_id, piece_id);
