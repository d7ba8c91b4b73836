-- Many rows that come in at once are made found at once, by statement and not by row.
CREATE OR REPLACE FUNCTION keep_found(kept finds) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
  INSERT INTO finds SELECT (kept).*
    ON CONFLICT (kind, row_id) DO UPDATE SET number = excluded.number, title = excluded.title, detail = excluded.detail,
      words = excluded.words, main_n = excluded.main_n, cross_n = excluded.cross_n, unit = excluded.unit, at = excluded.at
$$;--> statement-breakpoint
CREATE FUNCTION keep_found_words() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
BEGIN
  INSERT INTO found_words
    SELECT workshop_id, word FROM (
      SELECT DISTINCT fresh.workshop_id, word FROM fresh,
        string_to_table(translate(fresh.words, '!"#$%&''()*+,-./:;<=>?@[\]^_`{|}~’‘“”–—…', repeat(' ', 39)), ' ') AS word
    ) AS each
    WHERE length(word) BETWEEN 4 AND 40 AND word ~ '^[[:alpha:]]+$'
    ON CONFLICT DO NOTHING;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER words_new AFTER INSERT ON finds REFERENCING NEW TABLE AS fresh FOR EACH STATEMENT EXECUTE FUNCTION keep_found_words();--> statement-breakpoint
CREATE TRIGGER words AFTER UPDATE ON finds REFERENCING NEW TABLE AS fresh FOR EACH STATEMENT EXECUTE FUNCTION keep_found_words();--> statement-breakpoint
-- Each row is looked up: a plan that reads whole tables beside a piece of rows does so for every piece.
CREATE FUNCTION found_many() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog SET enable_hashjoin = off SET enable_mergejoin = off SET enable_seqscan = off AS $$
BEGIN
  IF TG_TABLE_NAME = 'clients' THEN
    INSERT INTO finds (workshop_id, kind, row_id, title, detail, words)
      SELECT workshop_id, 'client', id, name, contact, found_text(ARRAY[name, contact, notes])
      FROM fresh WHERE removed_at IS NULL;
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    INSERT INTO finds (workshop_id, kind, row_id, title, detail, words)
      SELECT fresh.workshop_id, 'racket', fresh.id,
        concat_ws(', ', coalesce(frames.name, fresh.label), nullif(fresh.mark, '')), clients.name,
        found_text(ARRAY[clients.name, frames.name, fresh.label, fresh.mark, fresh.notes])
      FROM fresh JOIN clients ON clients.id = fresh.client_id LEFT JOIN frames ON frames.id = fresh.frame_id
      WHERE fresh.removed_at IS NULL;
  ELSE
    INSERT INTO finds (workshop_id, kind, row_id, title, detail, words, main_n, cross_n, unit, at)
      SELECT fresh.workshop_id, 'job', fresh.id,
        concat_ws(', ', clients.name, coalesce(frames.name, rackets.label), nullif(rackets.mark, '')),
        concat_ws(' / ', nullif(fresh.mains, ''), CASE WHEN fresh.crosses <> fresh.mains THEN fresh.crosses END),
        found_text(ARRAY[clients.name, coalesce(frames.name, rackets.label), rackets.mark, fresh.mains, fresh.crosses, fresh.notes]),
        fresh.main_n, fresh.cross_n, fresh.tension_unit,
        (fresh.day + time '12:00') AT TIME ZONE workshops.time_zone
      FROM fresh JOIN workshops ON workshops.id = fresh.workshop_id
        JOIN rackets ON rackets.id = fresh.racket_id JOIN clients ON clients.id = rackets.client_id
        LEFT JOIN frames ON frames.id = rackets.frame_id;
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
DROP TRIGGER found_new ON clients;--> statement-breakpoint
DROP TRIGGER found_new ON rackets;--> statement-breakpoint
DROP TRIGGER found_new ON earlier_jobs;--> statement-breakpoint
DROP FUNCTION found_earlier();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON clients REFERENCING NEW TABLE AS fresh FOR EACH STATEMENT EXECUTE FUNCTION found_many();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON rackets REFERENCING NEW TABLE AS fresh FOR EACH STATEMENT EXECUTE FUNCTION found_many();--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON earlier_jobs REFERENCING NEW TABLE AS fresh FOR EACH STATEMENT EXECUTE FUNCTION found_many();
