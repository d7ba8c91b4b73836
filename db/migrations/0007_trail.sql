-- Every change of a row is written down by the database itself, so that no part of the application can forget
-- it. The function works with the rights of the owner of the tables: the application's own role may read the
-- trail and do nothing else with it.
CREATE FUNCTION write_trail() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public AS $$
DECLARE
  after_row jsonb := to_jsonb(NEW);
  before_row jsonb := CASE WHEN TG_OP = 'UPDATE' THEN to_jsonb(OLD) ELSE '{}'::jsonb END;
  -- The column that says since when a row counts as taken away.
  gone text := CASE TG_TABLE_NAME WHEN 'members' THEN 'left_at' ELSE 'removed_at' END;
  changed jsonb := '{}'::jsonb;
  what text := 'added';
  named text := coalesce(after_row ->> 'name', 'No. ' || (after_row ->> 'number'), after_row ->> 'day', '');
BEGIN
  IF TG_OP = 'UPDATE' THEN
    SELECT coalesce(jsonb_object_agg(key, CASE
        WHEN key IN ('code_hash', 'token_hash') OR jsonb_typeof(value) = 'object' OR jsonb_typeof(before_row -> key) = 'object' THEN 'null'::jsonb
        ELSE jsonb_build_array(before_row -> key, value) END), '{}'::jsonb)
      INTO changed
      FROM jsonb_each(after_row)
      WHERE value IS DISTINCT FROM before_row -> key AND key NOT IN ('version', 'next_ticket');
    IF changed = '{}'::jsonb THEN RETURN NULL; END IF;
    what := CASE
      WHEN changed ? gone AND after_row ->> gone IS NOT NULL THEN 'removed'
      WHEN changed ? gone THEN 'put back'
      ELSE 'changed' END;
  END IF;
  IF TG_TABLE_NAME = 'members' THEN
    named := coalesce((SELECT people.name FROM people WHERE people.id = (after_row ->> 'person_id')::uuid), '');
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    named := trim(both ', ' FROM concat(after_row ->> 'label', ', ', after_row ->> 'mark'));
  END IF;
  INSERT INTO trail (workshop_id, person_id, about, row_id, name, deed, changes) VALUES (
    (CASE TG_TABLE_NAME WHEN 'workshops' THEN after_row ->> 'id' ELSE after_row ->> 'workshop_id' END)::uuid,
    nullif(current_setting('orthotens.person', true), '')::uuid,
    TG_TABLE_NAME, (after_row ->> 'id')::uuid, named, what, changed);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE FUNCTION keep_trail() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'The trail is only added to.' USING ERRCODE = 'insufficient_privilege';
END $$;--> statement-breakpoint
CREATE TRIGGER keep_trail BEFORE UPDATE OR DELETE OR TRUNCATE ON trail FOR EACH STATEMENT EXECUTE FUNCTION keep_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON workshops FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON clients FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON frames FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON strings FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON machines FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON machine_checks FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON rackets FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON tickets FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON members FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON devices FOR EACH ROW EXECUTE FUNCTION write_trail();
--> statement-breakpoint
-- Workshops of before there were people: the first start asks for their owner, and only it may know of them.
CREATE FUNCTION ownerless_workshops() RETURNS TABLE (id uuid, name text) LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public AS $$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT workshops.id, workshops.name FROM workshops WHERE NOT EXISTS (SELECT 1 FROM members WHERE members.workshop_id = workshops.id) ORDER BY workshops.name;
  PERFORM set_config('orthotens.everything', 'off', true);
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION ownerless_workshops() FROM PUBLIC;
