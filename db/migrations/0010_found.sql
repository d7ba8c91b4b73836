-- What is found by words. Triggers keep one row of plain words for each ticket, client, racket, frame, string and
-- machine, so that one index answers for all of them. Asked by `find_in_records` alone, which works with the rights
-- of the owner of the tables: behind row security no index on words could be used.
CREATE FUNCTION found_text(parts text[]) RETURNS text LANGUAGE sql STABLE SET search_path = public, pg_catalog AS $$
  SELECT trim(regexp_replace(lower(unaccent(array_to_string(parts, ' '))), '\s+', ' ', 'g'))
$$;--> statement-breakpoint
CREATE FUNCTION keep_found(kept finds) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
BEGIN
  INSERT INTO finds SELECT (kept).*
    ON CONFLICT (kind, row_id) DO UPDATE SET number = excluded.number, title = excluded.title, detail = excluded.detail,
      words = excluded.words, main_n = excluded.main_n, cross_n = excluded.cross_n, unit = excluded.unit, at = excluded.at;
  INSERT INTO found_words
    SELECT DISTINCT kept.workshop_id, word FROM regexp_split_to_table(kept.words, '[^[:alnum:]]+') AS word
    WHERE length(word) BETWEEN 4 AND 40 AND word ~ '^[[:alpha:]]+$'
    ON CONFLICT DO NOTHING;
END $$;--> statement-breakpoint
CREATE FUNCTION forget_found(found_kinds text[], found_row uuid) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
  DELETE FROM finds WHERE kind = ANY (found_kinds) AND row_id = found_row
$$;--> statement-breakpoint
CREATE FUNCTION keep_found_ticket(asked uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  ticket tickets;
  client text; reach text; frame text; bench_mark text; mains text; crosses text; machine text; zone text;
  kept finds;
BEGIN
  SELECT * INTO ticket FROM tickets WHERE id = asked;
  PERFORM forget_found(ARRAY[CASE WHEN ticket.closed_at IS NULL THEN 'job' ELSE 'ticket' END], asked);
  IF ticket.removed_at IS NOT NULL THEN PERFORM forget_found(ARRAY['ticket', 'job'], asked); RETURN; END IF;
  SELECT clients.name, clients.contact, coalesce(frames.name, rackets.label), rackets.mark
    INTO client, reach, frame, bench_mark
    FROM rackets JOIN clients ON clients.id = rackets.client_id LEFT JOIN frames ON frames.id = rackets.frame_id
    WHERE rackets.id = ticket.racket_id;
  SELECT time_zone INTO zone FROM workshops WHERE id = ticket.workshop_id;
  IF ticket.closed_at IS NULL THEN
    SELECT name INTO mains FROM strings WHERE id = ticket.main_string_id;
    SELECT name INTO crosses FROM strings WHERE id = ticket.cross_string_id;
    SELECT name INTO machine FROM machines WHERE id = ticket.machine_id;
  ELSE
    frame := coalesce(ticket.job_frame, frame);
    mains := ticket.job_mains; crosses := ticket.job_crosses; machine := ticket.job_machine;
  END IF;
  kept.workshop_id := ticket.workshop_id;
  kept.kind := CASE WHEN ticket.closed_at IS NULL THEN 'ticket' ELSE 'job' END;
  kept.row_id := ticket.id;
  kept.number := ticket.number;
  kept.title := concat_ws(', ', client, frame, nullif(bench_mark, ''));
  kept.detail := concat_ws(' / ', mains, CASE WHEN crosses IS DISTINCT FROM mains THEN crosses END);
  kept.main_n := ticket.main_n; kept.cross_n := ticket.cross_n; kept.unit := ticket.tension_unit;
  kept.at := coalesce(ticket.closed_at, ticket.taken_in);
  kept.words := found_text(ARRAY[
    ticket.number::text, client, ticket.job_client, reach, frame, bench_mark, mains, crosses,
    to_char(ticket.main_gauge_mm, 'FM0.00'), to_char(ticket.cross_gauge_mm, 'FM0.00'), ticket.method, machine,
    ticket.wish, ticket.condition, ticket.withdrawn_why, ticket.job_sport, ticket.job_by, ticket.record ->> 'remarks']);
  PERFORM keep_found(kept);
END $$;--> statement-breakpoint
CREATE FUNCTION keep_found_racket(asked uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  racket rackets; client text; frame text; kept finds;
BEGIN
  SELECT * INTO racket FROM rackets WHERE id = asked;
  IF racket.removed_at IS NOT NULL THEN PERFORM forget_found(ARRAY['racket'], asked); RETURN; END IF;
  SELECT name INTO client FROM clients WHERE id = racket.client_id;
  SELECT name INTO frame FROM frames WHERE id = racket.frame_id;
  kept.workshop_id := racket.workshop_id; kept.kind := 'racket'; kept.row_id := racket.id;
  kept.title := concat_ws(', ', coalesce(frame, racket.label), nullif(racket.mark, ''));
  kept.detail := client;
  kept.words := found_text(ARRAY[client, frame, racket.label, racket.mark, racket.notes]);
  PERFORM keep_found(kept);
END $$;--> statement-breakpoint
CREATE FUNCTION found_trigger() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  kept finds; next_row jsonb := to_jsonb(NEW); one uuid;
BEGIN
  IF TG_TABLE_NAME = 'tickets' THEN PERFORM keep_found_ticket(NEW.id); RETURN NULL; END IF;
  IF TG_TABLE_NAME = 'rackets' THEN PERFORM keep_found_racket(NEW.id);
  ELSIF next_row ->> 'removed_at' IS NOT NULL THEN
    PERFORM forget_found(ARRAY[left(TG_TABLE_NAME, -1)], NEW.id);
  ELSE
    kept.workshop_id := NEW.workshop_id; kept.kind := left(TG_TABLE_NAME, -1); kept.row_id := NEW.id;
    kept.title := NEW.name;
    kept.detail := coalesce(next_row ->> 'contact', next_row ->> 'sport', '');
    kept.words := found_text(ARRAY[NEW.name, kept.detail, next_row ->> 'notes', next_row ->> 'family', next_row ->> 'sub_kind', next_row ->> 'colour']);
    PERFORM keep_found(kept);
  END IF;
  IF TG_OP = 'INSERT' THEN RETURN NULL; END IF;
  -- What is named after it is known by the new name too. Closed jobs keep the name of their frame.
  IF TG_TABLE_NAME = 'clients' THEN
    FOR one IN SELECT id FROM rackets WHERE client_id = NEW.id LOOP PERFORM keep_found_racket(one); END LOOP;
    FOR one IN SELECT tickets.id FROM tickets JOIN rackets ON rackets.id = racket_id WHERE client_id = NEW.id LOOP PERFORM keep_found_ticket(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'frames' THEN
    FOR one IN SELECT id FROM rackets WHERE frame_id = NEW.id LOOP PERFORM keep_found_racket(one); END LOOP;
    FOR one IN SELECT tickets.id FROM tickets JOIN rackets ON rackets.id = racket_id WHERE frame_id = NEW.id AND closed_at IS NULL LOOP PERFORM keep_found_ticket(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    FOR one IN SELECT id FROM tickets WHERE racket_id = NEW.id LOOP PERFORM keep_found_ticket(one); END LOOP;
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER found AFTER INSERT OR UPDATE ON tickets FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON clients FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found AFTER UPDATE OF name, contact, notes, removed_at ON clients FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON rackets FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found AFTER UPDATE OF client_id, frame_id, label, mark, notes, removed_at ON rackets FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON frames FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found AFTER UPDATE OF name, removed_at ON frames FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found AFTER INSERT OR UPDATE ON strings FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
CREATE TRIGGER found AFTER INSERT OR UPDATE ON machines FOR EACH ROW EXECUTE FUNCTION found_trigger();--> statement-breakpoint
SELECT keep_found(row(workshop_id, 'client', id, null, name, contact, found_text(ARRAY[name, contact, notes]), null, null, null, null)::finds) FROM clients WHERE removed_at IS NULL;--> statement-breakpoint
SELECT keep_found(row(workshop_id, 'frame', id, null, name, sport, found_text(ARRAY[name, sport]), null, null, null, null)::finds) FROM frames WHERE removed_at IS NULL;--> statement-breakpoint
SELECT keep_found(row(workshop_id, 'string', id, null, name, sport, found_text(ARRAY[name, sport, notes, family, sub_kind, colour]), null, null, null, null)::finds) FROM strings WHERE removed_at IS NULL;--> statement-breakpoint
SELECT keep_found(row(workshop_id, 'machine', id, null, name, '', found_text(ARRAY[name]), null, null, null, null)::finds) FROM machines WHERE removed_at IS NULL;--> statement-breakpoint
SELECT keep_found_racket(id) FROM rackets;--> statement-breakpoint
SELECT keep_found_ticket(id) FROM tickets;--> statement-breakpoint
-- The words of a question, each as it stands or as the nearest word that is known, and the rows that have them all.
CREATE FUNCTION find_in_records(asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision, most integer)
RETURNS TABLE (kind text, row_id uuid, number integer, title text, detail text, main_n double precision, cross_n double precision, unit text, at timestamptz)
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  here uuid := nullif(current_setting('orthotens.workshop', true), '')::uuid;
  zone text; said text; near text[]; plain text; meant text; narrow text := ''; asked_number integer; corrected boolean := false;
BEGIN
  SELECT time_zone INTO zone FROM workshops WHERE id = here;
  IF zone IS NULL THEN RETURN; END IF;
  IF from_day IS NOT NULL THEN
    narrow := narrow || format(' AND at >= %L AND at < %L', from_day::timestamp AT TIME ZONE zone, (to_day + 1)::timestamp AT TIME ZONE zone);
  END IF;
  IF asked_main_n IS NOT NULL THEN
    -- Half of the finest step that a ticket is written in.
    narrow := narrow || format(' AND main_n BETWEEN %s AND %s AND cross_n BETWEEN %s AND %s', asked_main_n - 0.12, asked_main_n + 0.12, asked_cross_n - 0.12, asked_cross_n + 0.12);
  END IF;
  plain := narrow; meant := narrow;
  FOREACH said IN ARRAY asked LOOP
    said := found_text(ARRAY[said]);
    CONTINUE WHEN said = '';
    plain := plain || format(' AND words LIKE %L', '%' || replace(replace(replace(said, '\', '\\'), '%', '\%'), '_', '\_') || '%');
    near := ARRAY[said];
    IF length(said) >= 4 AND said ~ '^[[:alpha:]]+$' THEN
      -- A word that is the beginning of a known one is no slip.
      IF NOT EXISTS (SELECT 1 FROM found_words known WHERE known.workshop_id = here AND known.word LIKE '%' || said || '%') THEN
        -- Near by its trigrams, or by two letters at most, as in two that changed places.
        near := ARRAY(
          SELECT known.word FROM found_words known
          WHERE known.workshop_id = here AND length(said) < 200 AND (known.word % said
            OR (left(known.word, 1) = left(said, 1) AND abs(length(known.word) - length(said)) <= 1 AND levenshtein_less_equal(known.word, said, 2) <= 2))
          ORDER BY levenshtein_less_equal(known.word, said, 4), similarity(known.word, said) DESC, known.word LIMIT 3);
        IF near = '{}' THEN near := ARRAY[said]; END IF;
        corrected := true;
      END IF;
    END IF;
    meant := meant || ' AND (' || (SELECT string_agg(format('words LIKE %L', '%' || replace(replace(replace(each, '\', '\\'), '%', '\%'), '_', '\_') || '%'), ' OR ') FROM unnest(near) each) || ')';
  END LOOP;
  IF corrected THEN plain := meant; END IF;
  IF plain = '' THEN RETURN; END IF;
  IF cardinality(asked) = 1 AND asked[1] ~ '^\d{1,9}$' THEN asked_number := asked[1]::integer; END IF;
  IF asked_number IS NOT NULL THEN
    RETURN QUERY SELECT f.kind, f.row_id, f.number, f.title, f.detail, f.main_n, f.cross_n, f.unit, f.at FROM finds f WHERE f.workshop_id = here AND f.number = asked_number;
    plain := plain || format(' AND number IS DISTINCT FROM %s', asked_number);
  END IF;
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind = ''ticket''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, plain, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind = ''job''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, plain, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind IN (''client'', ''racket'', ''frame'', ''string'', ''machine'')%s ORDER BY kind = ''client'' DESC, title LIMIT %s', here, plain, most);
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION find_in_records(text[], date, date, double precision, double precision, integer) FROM PUBLIC;--> statement-breakpoint
REVOKE ALL ON FUNCTION keep_found(finds) FROM PUBLIC;--> statement-breakpoint
REVOKE ALL ON FUNCTION forget_found(text[], uuid) FROM PUBLIC;--> statement-breakpoint
REVOKE ALL ON FUNCTION keep_found_ticket(uuid) FROM PUBLIC;--> statement-breakpoint
REVOKE ALL ON FUNCTION keep_found_racket(uuid) FROM PUBLIC;--> statement-breakpoint
-- Whose page an address without sign-in opens; only what nobody can guess is answered.
CREATE FUNCTION client_link(asked text) RETURNS TABLE (workshop_id uuid, racket_id uuid) LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public AS $$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT client_links.workshop_id, client_links.racket_id FROM client_links WHERE client_links.token = asked AND client_links.withdrawn_at IS NULL;
  PERFORM set_config('orthotens.everything', 'off', true);
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION client_link(text) FROM PUBLIC;--> statement-breakpoint
-- The trail, without what the database works out by itself.
CREATE OR REPLACE FUNCTION write_trail() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public AS $$
DECLARE
  after_row jsonb := to_jsonb(NEW);
  before_row jsonb := CASE WHEN TG_OP = 'UPDATE' THEN to_jsonb(OLD) ELSE '{}'::jsonb END;
  -- The column that says since when a row counts as taken away.
  gone text := CASE TG_TABLE_NAME WHEN 'members' THEN 'left_at' WHEN 'client_links' THEN 'withdrawn_at' ELSE 'removed_at' END;
  changed jsonb := '{}'::jsonb;
  what text := 'added';
  named text := coalesce(after_row ->> 'name', 'No. ' || (after_row ->> 'number'), after_row ->> 'day', '');
  own_row uuid := (after_row ->> 'id')::uuid;
BEGIN
  IF TG_OP = 'UPDATE' THEN
    SELECT coalesce(jsonb_object_agg(key, CASE
        WHEN key IN ('code_hash', 'token_hash', 'image', 'thumb') OR jsonb_typeof(value) = 'object' OR jsonb_typeof(before_row -> key) = 'object' THEN 'null'::jsonb
        ELSE jsonb_build_array(before_row -> key, value) END), '{}'::jsonb)
      INTO changed
      FROM jsonb_each(after_row)
      WHERE value IS DISTINCT FROM before_row -> key
        AND key NOT IN ('version', 'next_ticket', 'next_invoice', 'job_client', 'job_sport', 'job_frame', 'job_mark', 'job_mains', 'job_crosses', 'job_by', 'job_machine', 'taught_lengths', 'taught_times');
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
  ELSIF TG_TABLE_NAME IN ('payments', 'photos') THEN
    named := 'No. ' || (SELECT tickets.number FROM tickets WHERE tickets.id = (after_row ->> 'ticket_id')::uuid);
  ELSIF TG_TABLE_NAME = 'client_links' THEN
    -- A link is known by its racket: what it holds is a secret.
    own_row := (after_row ->> 'racket_id')::uuid;
    named := (SELECT trim(both ', ' FROM concat(label, ', ', mark)) FROM rackets WHERE id = own_row);
  END IF;
  INSERT INTO trail (workshop_id, person_id, about, row_id, name, deed, changes) VALUES (
    (CASE TG_TABLE_NAME WHEN 'workshops' THEN after_row ->> 'id' ELSE after_row ->> 'workshop_id' END)::uuid,
    nullif(current_setting('orthotens.person', true), '')::uuid,
    TG_TABLE_NAME, own_row, named, what, changed);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON price_items FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON photos FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT ON invoices FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT ON payments FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON client_links FOR EACH ROW EXECUTE FUNCTION write_trail();
