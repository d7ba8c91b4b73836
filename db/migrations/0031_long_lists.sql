DROP INDEX "finds_words";--> statement-breakpoint
CREATE INDEX "tickets_looked_at" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST) WHERE last_look is not null;--> statement-breakpoint
CREATE INDEX "tickets_withdrawn" ON "tickets" USING btree ("workshop_id","withdrawn_at") WHERE withdrawn_at is not null;--> statement-breakpoint
CREATE INDEX "tickets_taken_in" ON "tickets" USING btree ("workshop_id","taken_in" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_with_string" ON "tickets" USING btree ("workshop_id","main_string_id","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "finds_words_of_jobs" ON "finds" USING gin (words gin_trgm_ops) WHERE kind in ('ticket', 'job');--> statement-breakpoint
CREATE INDEX "finds_words_of_names" ON "finds" USING gin (words gin_trgm_ops) WHERE kind in ('client', 'racket', 'frame', 'string', 'machine');--> statement-breakpoint
ALTER POLICY "wall" ON "bench_events" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("bench_events"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("bench_events"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "clients" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("clients"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("clients"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "corrections" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("corrections"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("corrections"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "devices" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("devices"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("devices"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "frames" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("frames"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("frames"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "machine_checks" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("machine_checks"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("machine_checks"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "machines" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("machines"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("machines"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "members" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("members"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid) or "members"."person_id" = (select nullif(current_setting('orthotens.person', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("members"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "rackets" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("rackets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("rackets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "strings" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("strings"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("strings"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "tickets" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("tickets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("tickets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "trail" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("trail"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("trail"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "workshops" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("workshops"."id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid) or exists (select 1 from members where members.workshop_id = "workshops"."id" and members.person_id = (select nullif(current_setting('orthotens.person', true), '')::uuid) and members.left_at is null))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("workshops"."id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "accounts" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "attempts" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "passkeys" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "people" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null or exists (select 1 from members where members.person_id = "people"."id" and members.workshop_id = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "rate_limits" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "sessions" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "verifications" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null)) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ((select nullif(current_setting('orthotens.workshop', true), '')::uuid) is null));--> statement-breakpoint
ALTER POLICY "wall" ON "calendar_feeds" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("calendar_feeds"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("calendar_feeds"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "client_links" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("client_links"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("client_links"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "finds" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("finds"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("finds"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "found_words" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("found_words"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("found_words"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "invoice_jobs" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("invoice_jobs"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("invoice_jobs"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "invoices" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("invoices"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("invoices"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "outbox" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("outbox"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("outbox"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "payments" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("payments"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("payments"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "photos" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("photos"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("photos"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "price_items" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("price_items"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("price_items"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "wishes" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("wishes"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("wishes"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "earlier_jobs" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("earlier_jobs"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("earlier_jobs"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "arrangements" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("arrangements"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("arrangements"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "benches" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("benches"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("benches"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "event_players" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("event_players"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("event_players"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "event_rackets" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("event_rackets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("event_rackets"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "events" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("events"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("events"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_lengths" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("stock_lengths"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("stock_lengths"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_moves" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("stock_moves"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("stock_moves"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_uses" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("stock_uses"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("stock_uses"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "bed_readings" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("bed_readings"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("bed_readings"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "beds_out" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("beds_out"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("beds_out"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "court_words" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("court_words"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("court_words"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
ALTER POLICY "wall" ON "beds_read" TO public USING ((select current_setting('orthotens.everything', true) = 'on') or ("beds_read"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK ((select current_setting('orthotens.everything', true) = 'on') or ("beds_read"."workshop_id" = (select nullif(current_setting('orthotens.workshop', true), '')::uuid)));--> statement-breakpoint
-- What a question comes to, as a condition on `finds`: each word as it stands or as the nearest word that is known. Null where no
-- workshop is at work or nothing was asked.
CREATE FUNCTION meant_in_records(here uuid, asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision) RETURNS text
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  zone text; said text; near text[]; plain text; meant text; narrow text := ''; corrected boolean := false;
BEGIN
  SELECT time_zone INTO zone FROM workshops WHERE id = here;
  IF zone IS NULL THEN RETURN NULL; END IF;
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
  RETURN nullif(plain, '');
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION meant_in_records(uuid, text[], date, date, double precision, double precision) FROM PUBLIC;--> statement-breakpoint
-- The rows that have them all.
CREATE OR REPLACE FUNCTION find_in_records(asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision, most integer)
RETURNS TABLE (kind text, row_id uuid, number integer, title text, detail text, main_n double precision, cross_n double precision, unit text, at timestamptz)
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  here uuid := nullif(current_setting('orthotens.workshop', true), '')::uuid;
  meant text := meant_in_records(here, asked, from_day, to_day, asked_main_n, asked_cross_n);
  asked_number integer := CASE WHEN cardinality(asked) = 1 AND asked[1] ~ '^\d{1,9}$' THEN asked[1]::integer END;
BEGIN
  IF meant IS NULL THEN RETURN; END IF;
  IF asked_number IS NOT NULL THEN
    RETURN QUERY SELECT f.kind, f.row_id, f.number, f.title, f.detail, f.main_n, f.cross_n, f.unit, f.at FROM finds f WHERE f.workshop_id = here AND f.number = asked_number;
    meant := meant || format(' AND number IS DISTINCT FROM %s', asked_number);
  END IF;
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind = ''ticket''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, meant, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind = ''job''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, meant, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM finds WHERE workshop_id = %L AND kind IN (''client'', ''racket'', ''frame'', ''string'', ''machine'')%s ORDER BY kind = ''client'' DESC, title LIMIT %s', here, meant, most);
END $$;--> statement-breakpoint
-- Of one kind, in the order of its list: jobs by number, then from the latest; without `most`, all of them as they come.
CREATE FUNCTION rows_in_records(asked_kind text, asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision, most integer)
RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  here uuid := nullif(current_setting('orthotens.workshop', true), '')::uuid;
  meant text := meant_in_records(here, asked, from_day, to_day, asked_main_n, asked_cross_n);
  asked_number integer := CASE WHEN cardinality(asked) = 1 AND asked[1] ~ '^\d{1,9}$' THEN asked[1]::integer END;
BEGIN
  IF meant IS NULL THEN RETURN; END IF;
  IF asked_number IS NOT NULL THEN
    RETURN QUERY SELECT f.row_id FROM finds f WHERE f.workshop_id = here AND f.kind = asked_kind AND f.number = asked_number;
    meant := meant || format(' AND number IS DISTINCT FROM %s', asked_number);
  END IF;
  -- Jobs from elsewhere have no number, and no place in the list of jobs.
  IF asked_kind = 'job' THEN meant := meant || ' AND number IS NOT NULL'; END IF;
  RETURN QUERY EXECUTE format('SELECT row_id FROM finds WHERE workshop_id = %L AND kind = %L%s', here, asked_kind, meant)
    || CASE
      WHEN most IS NULL THEN ''
      WHEN asked_kind = 'job' THEN format(' ORDER BY at DESC NULLS LAST, number DESC LIMIT %s', most)
      -- Rackets by their clients, everything else by its own name.
      WHEN asked_kind = 'racket' THEN format(' ORDER BY detail, title, row_id LIMIT %s', most)
      ELSE format(' ORDER BY title, row_id LIMIT %s', most) END;
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION rows_in_records(text, text[], date, date, double precision, double precision, integer) FROM PUBLIC;
