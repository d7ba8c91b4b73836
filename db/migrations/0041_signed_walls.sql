CREATE TABLE "wall_keys" (
	"key" text PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "wall_keys" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "wall" ON "wall_keys" AS PERMISSIVE FOR ALL TO public USING (true) WITH CHECK (true);--> statement-breakpoint
-- The place of a transaction is a setting that anybody may write, so it is believed only with its signature: `workshop|person|mac`,
-- the mac by a key that the application knows and no role of it can read. A wrong one is an error, never an empty house.
CREATE FUNCTION public.signed_place() RETURNS text[] LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path TO 'pg_catalog', 'public', 'pg_temp' AS $$
DECLARE
  said text := current_setting('orthotens.place', true);
  parts text[];
  secret bytea;
BEGIN
  IF coalesce(said, '') = '' THEN RETURN NULL; END IF;
  parts := string_to_array(said, '|');
  SELECT decode(wall_keys.key, 'hex') INTO secret FROM public.wall_keys;
  IF cardinality(parts) IS DISTINCT FROM 3 OR secret IS NULL
    OR parts[3] IS DISTINCT FROM encode(sha256(secret || sha256(secret || convert_to(parts[1] || '|' || parts[2], 'UTF8'))), 'hex') THEN
    RAISE EXCEPTION 'The place of this transaction was not signed by the application.' USING ERRCODE = 'insufficient_privilege';
  END IF;
  RETURN parts;
END $$;--> statement-breakpoint
CREATE FUNCTION public.at_workshop() RETURNS uuid LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path TO 'pg_catalog', 'public', 'pg_temp' AS $$
BEGIN
  RETURN nullif((public.signed_place())[1], '')::uuid;
END $$;--> statement-breakpoint
CREATE FUNCTION public.at_person() RETURNS uuid LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path TO 'pg_catalog', 'public', 'pg_temp' AS $$
BEGIN
  RETURN nullif((public.signed_place())[2], '')::uuid;
END $$;--> statement-breakpoint
-- What was handed over stays as it was handed over, until it is voided and after: who it was strung for, what is paid and when it
-- went home come later, and so do a line that was forgotten and what a bench sends that was without a line.
CREATE FUNCTION public.keep_closed() RETURNS trigger LANGUAGE plpgsql SET search_path TO 'pg_catalog', 'public', 'pg_temp' AS $$
DECLARE
  later text[] := ARRAY['strung_for', 'collected_at', 'to_pay_minor', 'paid_minor', 'job_owing', 'version', 'record'];
  lines integer := coalesce(jsonb_array_length(OLD.record #> '{price,lines}'), 0);
BEGIN
  IF NEW.closed_at IS NULL AND NEW.was_closed_at = OLD.closed_at AND NEW.withdrawn_at IS NOT NULL THEN
    later := later || ARRAY['closed_at', 'was_closed_at', 'withdrawn_at', 'withdrawn_why', 'taught_lengths', 'taught_times'];
  END IF;
  IF to_jsonb(OLD) - later IS DISTINCT FROM to_jsonb(NEW) - later
    OR (OLD.record - 'late') #- '{price,lines}' IS DISTINCT FROM (NEW.record - 'late') #- '{price,lines}'
    OR lines > 0 AND OLD.record #> '{price,lines}' IS DISTINCT FROM jsonb_path_query_array(NEW.record, format('$.price.lines[0 to %s]', lines - 1)::jsonpath) THEN
    RAISE EXCEPTION 'A job that was handed over is not changed.' USING ERRCODE = 'insufficient_privilege';
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
-- Afterwards, when what is worked out from other columns stands there too.
CREATE TRIGGER keep_closed AFTER UPDATE ON public.tickets FOR EACH ROW WHEN (OLD.closed_at IS NOT NULL OR OLD.was_closed_at IS NOT NULL) EXECUTE FUNCTION public.keep_closed();--> statement-breakpoint
ALTER POLICY "wall" ON "accounts" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "attempts" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "passkeys" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "people" TO public USING ((select at_workshop()) is null or exists (select 1 from members where members.person_id = "people"."id" and members.workshop_id = (select at_workshop()))) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "rate_limits" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "sessions" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "verifications" TO public USING ((select at_workshop()) is null) WITH CHECK ((select at_workshop()) is null);--> statement-breakpoint
ALTER POLICY "wall" ON "devices" TO public USING ("devices"."workshop_id" = (select at_workshop())) WITH CHECK ("devices"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "members" TO public USING ("members"."workshop_id" = (select at_workshop()) or "members"."person_id" = (select at_person())) WITH CHECK ("members"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "trail" TO public USING ("trail"."workshop_id" = (select at_workshop())) WITH CHECK ("trail"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "workshops" TO public USING ("workshops"."id" = (select at_workshop()) or exists (select 1 from members where members.workshop_id = "workshops"."id" and members.person_id = (select at_person()) and members.left_at is null)) WITH CHECK ("workshops"."id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "clients" TO public USING ("clients"."workshop_id" = (select at_workshop())) WITH CHECK ("clients"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "frames" TO public USING ("frames"."workshop_id" = (select at_workshop())) WITH CHECK ("frames"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "machine_checks" TO public USING ("machine_checks"."workshop_id" = (select at_workshop())) WITH CHECK ("machine_checks"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "machines" TO public USING ("machines"."workshop_id" = (select at_workshop())) WITH CHECK ("machines"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "rackets" TO public USING ("rackets"."workshop_id" = (select at_workshop())) WITH CHECK ("rackets"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "strings" TO public USING ("strings"."workshop_id" = (select at_workshop())) WITH CHECK ("strings"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "bench_events" TO public USING ("bench_events"."workshop_id" = (select at_workshop())) WITH CHECK ("bench_events"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "bench_plans" TO public USING ("bench_plans"."workshop_id" = (select at_workshop())) WITH CHECK ("bench_plans"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "corrections" TO public USING ("corrections"."workshop_id" = (select at_workshop())) WITH CHECK ("corrections"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "tickets" TO public USING ("tickets"."workshop_id" = (select at_workshop())) WITH CHECK ("tickets"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "calendar_feeds" TO public USING ("calendar_feeds"."workshop_id" = (select at_workshop())) WITH CHECK ("calendar_feeds"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "client_links" TO public USING ("client_links"."workshop_id" = (select at_workshop())) WITH CHECK ("client_links"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "finds" TO public USING ("finds"."workshop_id" = (select at_workshop())) WITH CHECK ("finds"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "found_words" TO public USING ("found_words"."workshop_id" = (select at_workshop())) WITH CHECK ("found_words"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "invoice_jobs" TO public USING ("invoice_jobs"."workshop_id" = (select at_workshop())) WITH CHECK ("invoice_jobs"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "invoices" TO public USING ("invoices"."workshop_id" = (select at_workshop())) WITH CHECK ("invoices"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "outbox" TO public USING ("outbox"."workshop_id" = (select at_workshop())) WITH CHECK ("outbox"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "payments" TO public USING ("payments"."workshop_id" = (select at_workshop())) WITH CHECK ("payments"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "photos" TO public USING ("photos"."workshop_id" = (select at_workshop())) WITH CHECK ("photos"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "price_items" TO public USING ("price_items"."workshop_id" = (select at_workshop())) WITH CHECK ("price_items"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "wishes" TO public USING ("wishes"."workshop_id" = (select at_workshop())) WITH CHECK ("wishes"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "earlier_jobs" TO public USING ("earlier_jobs"."workshop_id" = (select at_workshop())) WITH CHECK ("earlier_jobs"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "arrangements" TO public USING ("arrangements"."workshop_id" = (select at_workshop())) WITH CHECK ("arrangements"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "benches" TO public USING ("benches"."workshop_id" = (select at_workshop())) WITH CHECK ("benches"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "event_players" TO public USING ("event_players"."workshop_id" = (select at_workshop())) WITH CHECK ("event_players"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "event_rackets" TO public USING ("event_rackets"."workshop_id" = (select at_workshop())) WITH CHECK ("event_rackets"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "events" TO public USING ("events"."workshop_id" = (select at_workshop())) WITH CHECK ("events"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_lengths" TO public USING ("stock_lengths"."workshop_id" = (select at_workshop())) WITH CHECK ("stock_lengths"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_moves" TO public USING ("stock_moves"."workshop_id" = (select at_workshop())) WITH CHECK ("stock_moves"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "stock_uses" TO public USING ("stock_uses"."workshop_id" = (select at_workshop())) WITH CHECK ("stock_uses"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "bed_readings" TO public USING ("bed_readings"."workshop_id" = (select at_workshop())) WITH CHECK ("bed_readings"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "beds_out" TO public USING ("beds_out"."workshop_id" = (select at_workshop())) WITH CHECK ("beds_out"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "court_words" TO public USING ("court_words"."workshop_id" = (select at_workshop())) WITH CHECK ("court_words"."workshop_id" = (select at_workshop()));--> statement-breakpoint
ALTER POLICY "wall" ON "beds_read" TO public USING ("beds_read"."workshop_id" = (select at_workshop())) WITH CHECK ("beds_read"."workshop_id" = (select at_workshop()));--> statement-breakpoint
-- Every function looks names up in the schemas that nobody else can write to, those of a session last, and says of a table which it means.
CREATE OR REPLACE FUNCTION public.write_trail()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
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
        WHEN key IN ('code_hash', 'token_hash', 'image', 'thumb') THEN 'null'::jsonb
        -- Of a document it keeps what was there; what is there now stands in the row, or in the next change.
        WHEN jsonb_typeof(value) = 'object' OR jsonb_typeof(before_row -> key) = 'object' THEN jsonb_build_array(before_row -> key)
        ELSE jsonb_build_array(before_row -> key, value) END), '{}'::jsonb)
      INTO changed
      FROM jsonb_each(after_row)
      WHERE value IS DISTINCT FROM before_row -> key
        AND key NOT IN ('version', 'next_ticket', 'next_invoice', 'bench_minutes', 'taught_lengths', 'taught_times') AND key NOT LIKE 'job\_%';
    IF changed = '{}'::jsonb THEN RETURN NULL; END IF;
    what := CASE
      WHEN changed ? gone AND after_row ->> gone IS NOT NULL THEN 'removed'
      WHEN changed ? gone THEN 'put back'
      ELSE 'changed' END;
  END IF;
  IF TG_TABLE_NAME = 'members' THEN
    named := coalesce((SELECT people.name FROM public.people WHERE people.id = (after_row ->> 'person_id')::uuid), '');
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    named := trim(both ', ' FROM concat(after_row ->> 'label', ', ', after_row ->> 'mark'));
  ELSIF TG_TABLE_NAME IN ('payments', 'photos') THEN
    named := 'No. ' || (SELECT tickets.number FROM public.tickets WHERE tickets.id = (after_row ->> 'ticket_id')::uuid);
  ELSIF TG_TABLE_NAME = 'client_links' THEN
    -- A link is known by its racket: what it holds is a secret.
    own_row := (after_row ->> 'racket_id')::uuid;
    named := (SELECT trim(both ', ' FROM concat(label, ', ', mark)) FROM public.rackets WHERE id = own_row);
  END IF;
  INSERT INTO public.trail (workshop_id, person_id, about, row_id, name, deed, changes) VALUES (
    (CASE TG_TABLE_NAME WHEN 'workshops' THEN after_row ->> 'id' ELSE after_row ->> 'workshop_id' END)::uuid,
    public.at_person(),
    TG_TABLE_NAME, own_row, named, what, changed);
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_trail()
 RETURNS trigger
 LANGUAGE plpgsql
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  RAISE EXCEPTION 'The trail is only added to.' USING ERRCODE = 'insufficient_privilege';
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.ownerless_workshops()
 RETURNS TABLE(id uuid, name text)
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT workshops.id, workshops.name FROM public.workshops WHERE NOT EXISTS (SELECT 1 FROM public.members WHERE members.workshop_id = workshops.id) ORDER BY workshops.name;
  PERFORM set_config('orthotens.everything', 'off', true);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.found_text(parts text[])
 RETURNS text
 LANGUAGE sql
 STABLE
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
  SELECT trim(regexp_replace(lower(public.unaccent(array_to_string(parts, ' '))), '\s+', ' ', 'g'))
$function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_found(kept public.finds)
 RETURNS void
 LANGUAGE sql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
  INSERT INTO public.finds SELECT (kept).*
    ON CONFLICT (kind, row_id) DO UPDATE SET number = excluded.number, title = excluded.title, detail = excluded.detail,
      words = excluded.words, main_n = excluded.main_n, cross_n = excluded.cross_n, unit = excluded.unit, at = excluded.at
$function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.forget_found(found_kinds text[], found_row uuid)
 RETURNS void
 LANGUAGE sql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
  DELETE FROM public.finds WHERE kind = ANY (found_kinds) AND row_id = found_row
$function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_found_ticket(asked uuid)
 RETURNS void
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  ticket public.tickets;
  client text; reach text; frame text; bench_mark text; mains text; crosses text; machine text; zone text;
  kept public.finds;
BEGIN
  SELECT * INTO ticket FROM public.tickets WHERE id = asked;
  PERFORM public.forget_found(ARRAY[CASE WHEN ticket.closed_at IS NULL THEN 'job' ELSE 'ticket' END], asked);
  IF ticket.removed_at IS NOT NULL THEN PERFORM public.forget_found(ARRAY['ticket', 'job'], asked); RETURN; END IF;
  SELECT clients.name, clients.contact, coalesce(frames.name, rackets.label), rackets.mark
    INTO client, reach, frame, bench_mark
    FROM public.rackets JOIN public.clients ON clients.id = coalesce(public.client_now(ticket.strung_for), rackets.client_id) LEFT JOIN public.frames ON frames.id = rackets.frame_id
    WHERE rackets.id = ticket.racket_id;
  SELECT time_zone INTO zone FROM public.workshops WHERE id = ticket.workshop_id;
  IF ticket.closed_at IS NULL THEN
    SELECT name INTO mains FROM public.strings WHERE id = ticket.main_string_id;
    SELECT name INTO crosses FROM public.strings WHERE id = ticket.cross_string_id;
    SELECT name INTO machine FROM public.machines WHERE id = ticket.machine_id;
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
  kept.words := public.found_text(ARRAY[
    ticket.number::text, client, ticket.job_client, reach, frame, bench_mark, mains, crosses,
    to_char(ticket.main_gauge_mm, 'FM0.00'), to_char(ticket.cross_gauge_mm, 'FM0.00'), ticket.method, machine,
    ticket.wish, ticket.condition, ticket.withdrawn_why, ticket.job_sport, ticket.job_by, ticket.record ->> 'remarks']);
  PERFORM public.keep_found(kept);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_found_racket(asked uuid)
 RETURNS void
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  racket public.rackets; client public.clients; frame text; kept public.finds;
BEGIN
  SELECT * INTO racket FROM public.rackets WHERE id = asked;
  SELECT * INTO client FROM public.clients WHERE id = racket.client_id;
  IF racket.removed_at IS NOT NULL OR client.removed_at IS NOT NULL THEN PERFORM public.forget_found(ARRAY['racket'], asked); RETURN; END IF;
  SELECT name INTO frame FROM public.frames WHERE id = racket.frame_id;
  kept.workshop_id := racket.workshop_id; kept.kind := 'racket'; kept.row_id := racket.id;
  kept.title := concat_ws(', ', coalesce(frame, racket.label), nullif(racket.mark, ''));
  kept.detail := client.name;
  kept.words := public.found_text(ARRAY[client.name, frame, racket.label, racket.mark, racket.notes]);
  PERFORM public.keep_found(kept);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.found_trigger()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  kept public.finds; next_row jsonb := to_jsonb(NEW); one uuid;
BEGIN
  IF TG_TABLE_NAME = 'tickets' THEN PERFORM public.keep_found_ticket(NEW.id); RETURN NULL; END IF;
  IF TG_TABLE_NAME = 'rackets' THEN PERFORM public.keep_found_racket(NEW.id);
  ELSIF next_row ->> 'removed_at' IS NOT NULL THEN
    PERFORM public.forget_found(ARRAY[left(TG_TABLE_NAME, -1)], NEW.id);
  ELSE
    kept.workshop_id := NEW.workshop_id; kept.kind := left(TG_TABLE_NAME, -1); kept.row_id := NEW.id;
    kept.title := NEW.name;
    kept.detail := coalesce(next_row ->> 'contact', next_row ->> 'sport', '');
    kept.words := public.found_text(ARRAY[NEW.name, kept.detail, next_row ->> 'notes', next_row ->> 'family', next_row ->> 'sub_kind', next_row ->> 'colour']);
    PERFORM public.keep_found(kept);
  END IF;
  IF TG_OP = 'INSERT' THEN RETURN NULL; END IF;
  -- What is named after it is known by the new name too. Closed jobs keep the name of their frame.
  IF TG_TABLE_NAME = 'clients' THEN
    FOR one IN SELECT id FROM public.rackets WHERE client_id = NEW.id LOOP PERFORM public.keep_found_racket(one); END LOOP;
    FOR one IN SELECT tickets.id FROM public.tickets JOIN public.rackets ON rackets.id = racket_id WHERE client_id = NEW.id LOOP PERFORM public.keep_found_ticket(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'frames' THEN
    FOR one IN SELECT id FROM public.rackets WHERE frame_id = NEW.id LOOP PERFORM public.keep_found_racket(one); END LOOP;
    FOR one IN SELECT tickets.id FROM public.tickets JOIN public.rackets ON rackets.id = racket_id WHERE frame_id = NEW.id AND closed_at IS NULL LOOP PERFORM public.keep_found_ticket(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    FOR one IN SELECT id FROM public.tickets WHERE racket_id = NEW.id LOOP PERFORM public.keep_found_ticket(one); END LOOP;
  END IF;
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.find_in_records(asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision, most integer)
 RETURNS TABLE(kind text, row_id uuid, number integer, title text, detail text, main_n double precision, cross_n double precision, unit text, at timestamp with time zone)
 LANGUAGE plpgsql
 STABLE SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  here uuid := public.at_workshop();
  meant text := public.meant_in_records(here, asked, from_day, to_day, asked_main_n, asked_cross_n);
  asked_number integer := CASE WHEN cardinality(asked) = 1 AND asked[1] ~ '^\d{1,9}$' THEN asked[1]::integer END;
BEGIN
  IF meant IS NULL THEN RETURN; END IF;
  IF asked_number IS NOT NULL THEN
    RETURN QUERY SELECT f.kind, f.row_id, f.number, f.title, f.detail, f.main_n, f.cross_n, f.unit, f.at FROM public.finds f WHERE f.workshop_id = here AND f.number = asked_number;
    meant := meant || format(' AND number IS DISTINCT FROM %s', asked_number);
  END IF;
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM public.finds WHERE workshop_id = %L AND kind = ''ticket''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, meant, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM public.finds WHERE workshop_id = %L AND kind = ''job''%s ORDER BY at DESC NULLS LAST LIMIT %s', here, meant, most);
  RETURN QUERY EXECUTE format(
    'SELECT kind, row_id, number, title, detail, main_n, cross_n, unit, at FROM public.finds WHERE workshop_id = %L AND kind IN (''client'', ''racket'', ''frame'', ''string'', ''machine'')%s ORDER BY kind = ''client'' DESC, title LIMIT %s', here, meant, most);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.client_link(asked text)
 RETURNS TABLE(workshop_id uuid, racket_id uuid)
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT client_links.workshop_id, client_links.racket_id FROM public.client_links WHERE client_links.token = asked AND client_links.withdrawn_at IS NULL;
  PERFORM set_config('orthotens.everything', 'off', true);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.calendar_feed(asked text)
 RETURNS TABLE(workshop_id uuid, person_id uuid)
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT calendar_feeds.workshop_id, calendar_feeds.person_id FROM public.calendar_feeds
    WHERE calendar_feeds.token = asked AND calendar_feeds.withdrawn_at IS NULL AND EXISTS (
      SELECT 1 FROM public.members WHERE members.workshop_id = calendar_feeds.workshop_id AND members.person_id = calendar_feeds.person_id AND members.left_at IS NULL);
  PERFORM set_config('orthotens.everything', 'off', true);
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.tell_day()
 RETURNS trigger
 LANGUAGE plpgsql
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  PERFORM pg_notify('orthotens_day', NEW.workshop_id::text);
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_bed_out(racket uuid)
 RETURNS void
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  owner uuid;
  latest public.tickets;
BEGIN
  DELETE FROM public.beds_out WHERE racket_id = racket;
  SELECT rackets.workshop_id INTO owner FROM public.rackets JOIN public.clients ON clients.id = client_id
    WHERE rackets.id = racket AND rackets.removed_at IS NULL AND clients.removed_at IS NULL;
  IF owner IS NULL THEN RETURN; END IF;
  PERFORM FROM public.tickets WHERE workshop_id = owner AND racket_id = racket AND closed_at IS NULL AND withdrawn_at IS NULL AND removed_at IS NULL;
  IF FOUND THEN RETURN; END IF;
  SELECT * INTO latest FROM public.tickets
    WHERE workshop_id = owner AND racket_id = racket AND closed_at IS NOT NULL AND removed_at IS NULL
    ORDER BY closed_at DESC LIMIT 1;
  IF latest.id IS NULL THEN RETURN; END IF;
  PERFORM FROM public.rackets WHERE id = racket AND elsewhere_on >= latest.closed_at::date::text;
  IF FOUND THEN RETURN; END IF;
  INSERT INTO public.beds_out (workshop_id, racket_id, ticket_id) VALUES (owner, racket, latest.id) ON CONFLICT DO NOTHING;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.beds_out_trigger()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  one uuid;
BEGIN
  IF TG_TABLE_NAME = 'tickets' THEN
    PERFORM public.keep_bed_out(NEW.racket_id);
    IF TG_OP = 'UPDATE' AND OLD.racket_id <> NEW.racket_id THEN PERFORM public.keep_bed_out(OLD.racket_id); END IF;
  ELSIF TG_TABLE_NAME = 'rackets' THEN PERFORM public.keep_bed_out(NEW.id);
  ELSIF TG_TABLE_NAME = 'bed_readings' THEN
    FOR one IN SELECT racket_id FROM public.tickets WHERE id = NEW.ticket_id LOOP PERFORM public.keep_bed_out(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'clients' THEN
    FOR one IN SELECT id FROM public.rackets WHERE client_id = NEW.id ORDER BY id LOOP PERFORM public.keep_bed_out(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'frames' THEN
    UPDATE public.beds_out SET due_day = null, edition = 0, since = clock_timestamp()
      WHERE racket_id IN (SELECT id FROM public.rackets WHERE frame_id = NEW.id);
  ELSE
    UPDATE public.beds_out SET due_day = null, edition = 0, since = clock_timestamp() WHERE workshop_id = NEW.id;
  END IF;
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_found_words()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  INSERT INTO public.found_words
    SELECT workshop_id, word FROM (
      SELECT DISTINCT fresh.workshop_id, word FROM fresh,
        string_to_table(translate(fresh.words, '!"#$%&''()*+,-./:;<=>?@[\]^_`{|}~’‘“”–—…', repeat(' ', 39)), ' ') AS word
    ) AS each
    WHERE length(word) BETWEEN 4 AND 40 AND word ~ '^[[:alpha:]]+$'
    ON CONFLICT DO NOTHING;
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.found_many()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET enable_hashjoin TO 'off'
 SET enable_mergejoin TO 'off'
 SET enable_seqscan TO 'off'
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  IF TG_TABLE_NAME = 'clients' THEN
    INSERT INTO public.finds (workshop_id, kind, row_id, title, detail, words)
      SELECT workshop_id, 'client', id, name, contact, public.found_text(ARRAY[name, contact, notes])
      FROM fresh WHERE removed_at IS NULL;
  ELSIF TG_TABLE_NAME = 'rackets' THEN
    INSERT INTO public.finds (workshop_id, kind, row_id, title, detail, words)
      SELECT fresh.workshop_id, 'racket', fresh.id,
        concat_ws(', ', coalesce(frames.name, fresh.label), nullif(fresh.mark, '')), clients.name,
        public.found_text(ARRAY[clients.name, frames.name, fresh.label, fresh.mark, fresh.notes])
      FROM fresh JOIN public.clients ON clients.id = fresh.client_id LEFT JOIN public.frames ON frames.id = fresh.frame_id
      WHERE fresh.removed_at IS NULL;
  ELSE
    INSERT INTO public.finds (workshop_id, kind, row_id, title, detail, words, main_n, cross_n, unit, at)
      SELECT fresh.workshop_id, 'job', fresh.id,
        concat_ws(', ', clients.name, coalesce(frames.name, rackets.label), nullif(rackets.mark, '')),
        concat_ws(' / ', nullif(fresh.mains, ''), CASE WHEN fresh.crosses <> fresh.mains THEN fresh.crosses END),
        public.found_text(ARRAY[clients.name, coalesce(frames.name, rackets.label), rackets.mark, fresh.mains, fresh.crosses, fresh.notes]),
        fresh.main_n, fresh.cross_n, fresh.tension_unit,
        (fresh.day + time '12:00') AT TIME ZONE workshops.time_zone
      FROM fresh JOIN public.workshops ON workshops.id = fresh.workshop_id
        JOIN public.rackets ON rackets.id = fresh.racket_id JOIN public.clients ON clients.id = rackets.client_id
        LEFT JOIN public.frames ON frames.id = rackets.frame_id;
  END IF;
  RETURN NULL;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.pieces_in_short(record jsonb)
 RETURNS jsonb
 LANGUAGE sql
 IMMUTABLE PARALLEL SAFE
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
  SELECT jsonb_agg(piece - 'parts' ORDER BY place) FROM jsonb_array_elements(record #> '{plan,pieces}') WITH ORDINALITY AS each(piece, place)
$function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_length_left()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
BEGIN
  IF TG_TABLE_NAME = 'stock_lengths' THEN
    NEW.left_mm := NEW.mm;
  ELSE
    UPDATE public.stock_lengths SET left_mm = left_mm + NEW.mm WHERE workshop_id = NEW.workshop_id AND id = NEW.length_id;
  END IF;
  RETURN NEW;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.keep_stock_use()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  cut public.stock_moves;
BEGIN
  IF NEW.kind = 'cut' THEN
    cut := NEW;
  ELSE
    SELECT * INTO cut FROM public.stock_moves WHERE workshop_id = NEW.workshop_id AND id = NEW.undoes AND kind = 'cut';
    IF cut.id IS NULL THEN RETURN NEW; END IF;
  END IF;
  INSERT INTO public.stock_uses (workshop_id, day, string_id, gauge_mm, mm)
    SELECT NEW.workshop_id, (cut.at AT TIME ZONE 'UTC')::date, string_id, gauge_mm, -NEW.mm
    FROM public.stock_lengths WHERE workshop_id = NEW.workshop_id AND id = NEW.length_id
    ON CONFLICT (workshop_id, day, string_id, gauge_mm) DO UPDATE SET mm = stock_uses.mm + excluded.mm;
  RETURN NEW;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.meant_in_records(here uuid, asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision)
 RETURNS text
 LANGUAGE plpgsql
 STABLE SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  zone text; said text; near text[]; plain text; meant text; narrow text := ''; corrected boolean := false;
BEGIN
  SELECT time_zone INTO zone FROM public.workshops WHERE id = here;
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
    said := public.found_text(ARRAY[said]);
    CONTINUE WHEN said = '';
    plain := plain || format(' AND words LIKE %L', '%' || replace(replace(replace(said, '\', '\\'), '%', '\%'), '_', '\_') || '%');
    near := ARRAY[said];
    IF length(said) >= 4 AND said ~ '^[[:alpha:]]+$' THEN
      -- A word that is the beginning of a known one is no slip.
      IF NOT EXISTS (SELECT 1 FROM public.found_words known WHERE known.workshop_id = here AND known.word LIKE '%' || said || '%') THEN
        -- Near by its trigrams, or by two letters at most, as in two that changed places.
        near := ARRAY(
          SELECT known.word FROM public.found_words known
          WHERE known.workshop_id = here AND length(said) < 200 AND (known.word OPERATOR(public.%) said
            OR (left(known.word, 1) = left(said, 1) AND abs(length(known.word) - length(said)) <= 1 AND public.levenshtein_less_equal(known.word, said, 2) <= 2))
          ORDER BY public.levenshtein_less_equal(known.word, said, 4), public.similarity(known.word, said) DESC, known.word LIMIT 3);
        IF near = '{}' THEN near := ARRAY[said]; END IF;
        corrected := true;
      END IF;
    END IF;
    meant := meant || ' AND (' || (SELECT string_agg(format('words LIKE %L', '%' || replace(replace(replace(each, '\', '\\'), '%', '\%'), '_', '\_') || '%'), ' OR ') FROM unnest(near) each) || ')';
  END LOOP;
  IF corrected THEN plain := meant; END IF;
  RETURN nullif(plain, '');
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.rows_in_records(asked_kind text, asked text[], from_day date, to_day date, asked_main_n double precision, asked_cross_n double precision, most integer)
 RETURNS SETOF uuid
 LANGUAGE plpgsql
 STABLE SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  here uuid := public.at_workshop();
  meant text := public.meant_in_records(here, asked, from_day, to_day, asked_main_n, asked_cross_n);
  asked_number integer := CASE WHEN cardinality(asked) = 1 AND asked[1] ~ '^\d{1,9}$' THEN asked[1]::integer END;
BEGIN
  IF meant IS NULL THEN RETURN; END IF;
  IF asked_number IS NOT NULL THEN
    RETURN QUERY SELECT f.row_id FROM public.finds f WHERE f.workshop_id = here AND f.kind = asked_kind AND f.number = asked_number;
    meant := meant || format(' AND number IS DISTINCT FROM %s', asked_number);
  END IF;
  -- Jobs from elsewhere have no number, and no place in the list of jobs.
  IF asked_kind = 'job' THEN meant := meant || ' AND number IS NOT NULL'; END IF;
  RETURN QUERY EXECUTE format('SELECT row_id FROM public.finds WHERE workshop_id = %L AND kind = %L%s', here, asked_kind, meant)
    || CASE
      WHEN most IS NULL THEN ''
      WHEN asked_kind = 'job' THEN format(' ORDER BY at DESC NULLS LAST, number DESC LIMIT %s', most)
      -- Rackets by their clients, everything else by its own name.
      WHEN asked_kind = 'racket' THEN format(' ORDER BY detail, title, row_id LIMIT %s', most)
      ELSE format(' ORDER BY title, row_id LIMIT %s', most) END;
END $function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.client_now(asked uuid)
 RETURNS uuid
 LANGUAGE sql
 STABLE STRICT
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
  WITH RECURSIVE same AS (
    SELECT id, merged_into FROM public.clients WHERE id = asked
    UNION ALL SELECT clients.id, clients.merged_into FROM public.clients JOIN same ON clients.id = same.merged_into)
  SELECT id FROM same WHERE merged_into IS NULL
$function$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION public.found_who_had_it()
 RETURNS trigger
 LANGUAGE plpgsql
 SECURITY DEFINER
 SET search_path TO 'pg_catalog', 'public', 'pg_temp'
AS $function$
DECLARE
  one uuid;
BEGIN
  FOR one IN SELECT id FROM public.tickets WHERE workshop_id = NEW.workshop_id AND strung_for IS NOT NULL AND public.client_now(strung_for) IN (NEW.id, NEW.merged_into)
    LOOP PERFORM public.keep_found_ticket(one); END LOOP;
  RETURN NULL;
END $function$;
