-- As the drawers are listed: by size, those without one first. The old index stood in another order and served no page.
drop index store_item_of_workshop;
create index store_item_by_size on store_item (workshop_id, kind, (coalesce(nominal_mm, 0)), id);
