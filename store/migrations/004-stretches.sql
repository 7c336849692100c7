-- A board may serve several pieces of one commission, each with its own stretches of it: no two overlap, and no board serves two commissions.
create extension if not exists btree_gist;

-- Whose a reservation is: pieces of one commission share boards, a piece of none shares with nobody.
create function commission_of(commission text, piece uuid) returns text language sql immutable parallel safe
  return coalesce(nullif(lower(btrim(commission)), ''), piece::text);

alter table board_want add column stretch nummultirange not null default '{[0,)}';

alter table board_reservation
  add column stretch nummultirange not null default '{[0,)}',
  add column commission text;
update board_reservation r set commission = commission_of(s.body ->> 'commission', r.piece_id)
  from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
 where p.workshop_id = r.workshop_id and p.id = r.piece_id;
update board_reservation set commission = piece_id::text where commission is null;

-- Both guarantees are the database's own.
alter table board_reservation
  alter column commission set not null,
  drop constraint board_reservation_pkey,
  add primary key (workshop_id, board_id, piece_id),
  add constraint board_reservation_apart exclude using gist (workshop_id with =, board_id with =, stretch with &&),
  add constraint board_reservation_one_commission exclude using gist (workshop_id with =, board_id with =, commission with <>);
