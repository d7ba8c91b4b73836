CREATE TABLE "event_players" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"event_id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"orders" jsonb NOT NULL,
	"main_string_id" uuid,
	"main_gauge_mm" double precision,
	"cross_string_id" uuid,
	"cross_gauge_mm" double precision,
	"supplied" boolean NOT NULL,
	"bench_id" uuid,
	"on_court" text,
	"court" text DEFAULT '' NOT NULL,
	CONSTRAINT "event_players_workshopId_id_unique" UNIQUE("workshop_id","id"),
	CONSTRAINT "event_players_eventId_clientId_unique" UNIQUE("event_id","client_id")
);
--> statement-breakpoint
ALTER TABLE "event_players" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "event_rackets" (
	"ticket_id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"event_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"tag" integer NOT NULL,
	CONSTRAINT "event_rackets_eventId_tag_unique" UNIQUE("event_id","tag")
);
--> statement-breakpoint
ALTER TABLE "event_rackets" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "events" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"sport" text NOT NULL,
	"days" jsonb NOT NULL,
	"bench_ids" uuid[] NOT NULL,
	"lead_min" integer NOT NULL,
	"labour_minor" integer NOT NULL,
	"own_string_minor" integer NOT NULL,
	"rush_minor" integer NOT NULL,
	"rush_min" integer NOT NULL,
	"one_bench" boolean NOT NULL,
	"board_names" boolean NOT NULL,
	CONSTRAINT "events_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
ALTER TABLE "events" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "arrangements" ADD COLUMN "taken_by" uuid;--> statement-breakpoint
ALTER TABLE "arrangements" ADD COLUMN "taken_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "arrangements" ADD COLUMN "taken_bench_id" uuid;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_event_id_events_workshop_id_id_fk" FOREIGN KEY ("workshop_id","event_id") REFERENCES "public"."events"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_client_id_clients_workshop_id_id_fk" FOREIGN KEY ("workshop_id","client_id") REFERENCES "public"."clients"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_bench_id_benches_workshop_id_id_fk" FOREIGN KEY ("workshop_id","bench_id") REFERENCES "public"."benches"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_main_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","main_string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_players" ADD CONSTRAINT "event_players_workshop_id_cross_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","cross_string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_rackets" ADD CONSTRAINT "event_rackets_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_rackets" ADD CONSTRAINT "event_rackets_workshop_id_event_id_events_workshop_id_id_fk" FOREIGN KEY ("workshop_id","event_id") REFERENCES "public"."events"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event_rackets" ADD CONSTRAINT "event_rackets_workshop_id_player_id_event_players_workshop_id_id_fk" FOREIGN KEY ("workshop_id","player_id") REFERENCES "public"."event_players"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "events" ADD CONSTRAINT "events_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "event_rackets_workshop_id_player_id_index" ON "event_rackets" USING btree ("workshop_id","player_id");--> statement-breakpoint
ALTER TABLE "arrangements" ADD CONSTRAINT "arrangements_taken_by_people_id_fk" FOREIGN KEY ("taken_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "arrangements" ADD CONSTRAINT "arrangements_workshop_id_taken_bench_id_benches_workshop_id_id_fk" FOREIGN KEY ("workshop_id","taken_bench_id") REFERENCES "public"."benches"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "wall" ON "event_players" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("event_players"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("event_players"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "event_rackets" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("event_rackets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("event_rackets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "events" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("events"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("events"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON events FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER write_trail AFTER INSERT OR UPDATE ON event_players FOR EACH ROW EXECUTE FUNCTION write_trail();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON events FOR EACH ROW EXECUTE FUNCTION tell_day();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON event_players FOR EACH ROW EXECUTE FUNCTION tell_day();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON event_rackets FOR EACH ROW EXECUTE FUNCTION tell_day();
