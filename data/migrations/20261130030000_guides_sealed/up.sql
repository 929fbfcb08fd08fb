-- Revisions of guides and of upkeep lists are written once, like entries, and covered by the seals.
create trigger guide_append_only before update or delete on guide_revision for each row execute function refuse_change();
create trigger guide_no_truncate before truncate on guide_revision for each statement execute function refuse_change();
create trigger upkeep_append_only before update or delete on upkeep_revision for each row execute function refuse_change();
create trigger upkeep_no_truncate before truncate on upkeep_revision for each statement execute function refuse_change();
create trigger guide_to_seal after insert on guide_revision for each row execute function note_for_seal('guide');
create trigger upkeep_to_seal after insert on upkeep_revision for each row execute function note_for_seal('upkeep');
insert into to_seal select 'guide', id::text from guide_revision;
insert into to_seal select 'upkeep', id::text from upkeep_revision;
