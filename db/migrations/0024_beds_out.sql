CREATE TABLE "beds_out" (
	"racket_id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"due_day" date,
	"due_by" text,
	"edition" integer DEFAULT 0 NOT NULL,
	"since" timestamp with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "beds_out" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_currency" text GENERATED ALWAYS AS (record #>> '{price,currency}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "bench_minutes" double precision GENERATED ALWAYS AS ((record #>> '{bench,minutes}')::double precision) STORED;--> statement-breakpoint
ALTER TABLE "beds_out" ADD CONSTRAINT "beds_out_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "beds_out" ADD CONSTRAINT "beds_out_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "beds_out" ADD CONSTRAINT "beds_out_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "beds_out_workshop_id_due_day_index" ON "beds_out" USING btree ("workshop_id","due_day");--> statement-breakpoint
CREATE INDEX "beds_out_workshop_id_edition_index" ON "beds_out" USING btree ("workshop_id","edition");--> statement-breakpoint
CREATE POLICY "wall" ON "beds_out" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("beds_out"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("beds_out"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
-- What the database keeps beside a ticket of its record is no change that anybody made.
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
        AND key NOT IN ('version', 'next_ticket', 'next_invoice', 'bench_minutes', 'taught_lengths', 'taught_times') AND key NOT LIKE 'job\_%';
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
-- The bed of a racket that is out: its latest job, unless the racket is here, is gone, or was strung elsewhere since. Its day
-- is worked out anew whenever this is asked.
CREATE FUNCTION keep_bed_out(racket uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  owner uuid;
  latest tickets;
BEGIN
  DELETE FROM beds_out WHERE racket_id = racket;
  SELECT rackets.workshop_id INTO owner FROM rackets JOIN clients ON clients.id = client_id
    WHERE rackets.id = racket AND rackets.removed_at IS NULL AND clients.removed_at IS NULL;
  IF owner IS NULL THEN RETURN; END IF;
  PERFORM FROM tickets WHERE workshop_id = owner AND racket_id = racket AND closed_at IS NULL AND withdrawn_at IS NULL AND removed_at IS NULL;
  IF FOUND THEN RETURN; END IF;
  SELECT * INTO latest FROM tickets
    WHERE workshop_id = owner AND racket_id = racket AND closed_at IS NOT NULL AND removed_at IS NULL
    ORDER BY closed_at DESC LIMIT 1;
  IF latest.id IS NULL THEN RETURN; END IF;
  PERFORM FROM rackets WHERE id = racket AND elsewhere_on >= latest.closed_at::date::text;
  IF FOUND THEN RETURN; END IF;
  INSERT INTO beds_out (workshop_id, racket_id, ticket_id) VALUES (owner, racket, latest.id) ON CONFLICT DO NOTHING;
END $$;--> statement-breakpoint
CREATE FUNCTION beds_out_trigger() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  one uuid;
BEGIN
  IF TG_TABLE_NAME = 'tickets' THEN
    PERFORM keep_bed_out(NEW.racket_id);
    IF TG_OP = 'UPDATE' AND OLD.racket_id <> NEW.racket_id THEN PERFORM keep_bed_out(OLD.racket_id); END IF;
  ELSIF TG_TABLE_NAME = 'rackets' THEN PERFORM keep_bed_out(NEW.id);
  ELSIF TG_TABLE_NAME = 'bed_readings' THEN
    FOR one IN SELECT racket_id FROM tickets WHERE id = NEW.ticket_id LOOP PERFORM keep_bed_out(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'clients' THEN
    FOR one IN SELECT id FROM rackets WHERE client_id = NEW.id ORDER BY id LOOP PERFORM keep_bed_out(one); END LOOP;
  ELSIF TG_TABLE_NAME = 'frames' THEN
    UPDATE beds_out SET due_day = null, edition = 0, since = clock_timestamp()
      WHERE racket_id IN (SELECT id FROM rackets WHERE frame_id = NEW.id);
  ELSE
    UPDATE beds_out SET due_day = null, edition = 0, since = clock_timestamp() WHERE workshop_id = NEW.id;
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER beds_out AFTER INSERT OR UPDATE OF racket_id, closed_at, withdrawn_at, removed_at, record ON tickets FOR EACH ROW EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
CREATE TRIGGER beds_out AFTER UPDATE OF client_id, frame_id, heat, elsewhere_on, removed_at ON rackets FOR EACH ROW EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
CREATE TRIGGER beds_out AFTER UPDATE ON clients FOR EACH ROW
  WHEN (OLD.talk ->> 'playsAWeek' IS DISTINCT FROM NEW.talk ->> 'playsAWeek' OR OLD.removed_at IS DISTINCT FROM NEW.removed_at)
  EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
CREATE TRIGGER beds_out AFTER INSERT OR UPDATE ON bed_readings FOR EACH ROW EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
CREATE TRIGGER beds_out AFTER UPDATE ON frames FOR EACH ROW WHEN (OLD.spec IS DISTINCT FROM NEW.spec) EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
CREATE TRIGGER beds_out AFTER UPDATE ON workshops FOR EACH ROW
  WHEN (OLD.house_rules IS DISTINCT FROM NEW.house_rules OR OLD.time_zone IS DISTINCT FROM NEW.time_zone)
  EXECUTE FUNCTION beds_out_trigger();--> statement-breakpoint
SELECT count(keep_bed_out(id)) FROM rackets;
