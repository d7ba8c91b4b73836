CREATE TABLE "calendar_feeds" (
	"token" text PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"withdrawn_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "calendar_feeds" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "earlier_jobs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"racket_id" uuid NOT NULL,
	"day" date NOT NULL,
	"main_n" double precision,
	"cross_n" double precision,
	"tension_unit" text,
	"mains" text NOT NULL,
	"crosses" text NOT NULL,
	"price_minor" integer,
	"currency" text NOT NULL,
	"notes" text NOT NULL,
	"brought_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "a tension is whole or not known" CHECK (num_nulls("earlier_jobs"."main_n", "earlier_jobs"."cross_n", "earlier_jobs"."tension_unit") in (0, 3))
);
--> statement-breakpoint
ALTER TABLE "earlier_jobs" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "calendar_feeds" ADD CONSTRAINT "calendar_feeds_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calendar_feeds" ADD CONSTRAINT "calendar_feeds_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "earlier_jobs" ADD CONSTRAINT "earlier_jobs_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "calendar_feeds_workshop_id_person_id_index" ON "calendar_feeds" USING btree ("workshop_id","person_id");--> statement-breakpoint
CREATE INDEX "earlier_jobs_workshop_id_racket_id_day_index" ON "earlier_jobs" USING btree ("workshop_id","racket_id","day" DESC NULLS LAST);--> statement-breakpoint
CREATE POLICY "wall" ON "calendar_feeds" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("calendar_feeds"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("calendar_feeds"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "earlier_jobs" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("earlier_jobs"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("earlier_jobs"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
-- Jobs of before are found beside the others; without a number of their own.
CREATE FUNCTION found_earlier() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  client text; frame text; bench_mark text; kept finds;
BEGIN
  SELECT clients.name, coalesce(frames.name, rackets.label), rackets.mark INTO client, frame, bench_mark
    FROM rackets JOIN clients ON clients.id = rackets.client_id LEFT JOIN frames ON frames.id = rackets.frame_id
    WHERE rackets.id = NEW.racket_id;
  kept.workshop_id := NEW.workshop_id; kept.kind := 'job'; kept.row_id := NEW.id;
  kept.title := concat_ws(', ', client, frame, nullif(bench_mark, ''));
  kept.detail := concat_ws(' / ', nullif(NEW.mains, ''), CASE WHEN NEW.crosses <> NEW.mains THEN NEW.crosses END);
  kept.main_n := NEW.main_n; kept.cross_n := NEW.cross_n; kept.unit := NEW.tension_unit;
  kept.at := (NEW.day + time '12:00') AT TIME ZONE (SELECT time_zone FROM workshops WHERE id = NEW.workshop_id);
  kept.words := found_text(ARRAY[client, frame, bench_mark, NEW.mains, NEW.crosses, NEW.notes]);
  PERFORM keep_found(kept);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER found_new AFTER INSERT ON earlier_jobs FOR EACH ROW EXECUTE FUNCTION found_earlier();--> statement-breakpoint
-- Whose day an address without sign-in answers with; only while they belong to the workshop.
CREATE FUNCTION calendar_feed(asked text) RETURNS TABLE (workshop_id uuid, person_id uuid) LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public AS $$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT calendar_feeds.workshop_id, calendar_feeds.person_id FROM calendar_feeds
    WHERE calendar_feeds.token = asked AND calendar_feeds.withdrawn_at IS NULL AND EXISTS (
      SELECT 1 FROM members WHERE members.workshop_id = calendar_feeds.workshop_id AND members.person_id = calendar_feeds.person_id AND members.left_at IS NULL);
  PERFORM set_config('orthotens.everything', 'off', true);
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION calendar_feed(text) FROM PUBLIC;
