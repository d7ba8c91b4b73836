CREATE TABLE "clients" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"contact" text NOT NULL,
	"tension_unit" text,
	"notes" text NOT NULL,
	CONSTRAINT "clients_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "frames" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"sport" text NOT NULL,
	"spec" jsonb NOT NULL,
	CONSTRAINT "frames_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "machines" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"gripper_mm" double precision NOT NULL,
	CONSTRAINT "machines_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "rackets" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"client_id" uuid NOT NULL,
	"frame_id" uuid,
	"label" text NOT NULL,
	"mark" text NOT NULL,
	"notes" text NOT NULL,
	CONSTRAINT "rackets_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "strings" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"name" text NOT NULL,
	"sport" text NOT NULL,
	"family" text NOT NULL,
	"gauges_mm" double precision[] NOT NULL,
	"set_mm" double precision NOT NULL,
	"set_price_minor" integer NOT NULL,
	"stretch" double precision,
	"notes" text NOT NULL,
	CONSTRAINT "strings_workshopId_id_unique" UNIQUE("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "tickets" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	"number" integer NOT NULL,
	"request_key" uuid NOT NULL,
	"racket_id" uuid NOT NULL,
	"taken_in" timestamp with time zone DEFAULT now() NOT NULL,
	"promised" text NOT NULL,
	"wish" text NOT NULL,
	"condition" text NOT NULL,
	"main_string_id" uuid,
	"main_gauge_mm" double precision,
	"main_supplied" boolean DEFAULT false NOT NULL,
	"cross_string_id" uuid,
	"cross_gauge_mm" double precision,
	"cross_supplied" boolean DEFAULT false NOT NULL,
	"main_n" double precision,
	"cross_n" double precision,
	"tension_unit" text,
	"method" text,
	"short_side" text,
	"cross_start" text,
	"cut_from" text,
	"remnants_mm" double precision[],
	"machine_id" uuid,
	"closed_at" timestamp with time zone,
	"labour_minor" integer,
	"string_minor" integer,
	"record" jsonb,
	CONSTRAINT "tickets_workshopId_number_unique" UNIQUE("workshop_id","number"),
	CONSTRAINT "tickets_workshopId_requestKey_unique" UNIQUE("workshop_id","request_key"),
	CONSTRAINT "a cut is planned as a whole or not at all" CHECK (num_nulls("tickets"."method", "tickets"."short_side", "tickets"."cross_start", "tickets"."cut_from", "tickets"."remnants_mm") in (0, 5)),
	CONSTRAINT "a closed ticket has its record" CHECK (("tickets"."closed_at" is null) = ("tickets"."record" is null))
);
--> statement-breakpoint
CREATE TABLE "workshops" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"tension_unit" text NOT NULL,
	"length_system" text NOT NULL,
	"currency" text NOT NULL,
	"time_zone" text NOT NULL,
	"labour_minor" integer NOT NULL,
	"cut_assumptions" jsonb NOT NULL,
	"method_preference" text DEFAULT 'fewest losses at knots' NOT NULL,
	"next_ticket" integer DEFAULT 1 NOT NULL,
	"version" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
ALTER TABLE "clients" ADD CONSTRAINT "clients_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "frames" ADD CONSTRAINT "frames_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "machines" ADD CONSTRAINT "machines_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rackets" ADD CONSTRAINT "rackets_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rackets" ADD CONSTRAINT "rackets_workshop_id_client_id_clients_workshop_id_id_fk" FOREIGN KEY ("workshop_id","client_id") REFERENCES "public"."clients"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rackets" ADD CONSTRAINT "rackets_workshop_id_frame_id_frames_workshop_id_id_fk" FOREIGN KEY ("workshop_id","frame_id") REFERENCES "public"."frames"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strings" ADD CONSTRAINT "strings_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_main_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","main_string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_cross_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","cross_string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_machine_id_machines_workshop_id_id_fk" FOREIGN KEY ("workshop_id","machine_id") REFERENCES "public"."machines"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clients_workshop_id_name_index" ON "clients" USING btree ("workshop_id","name");--> statement-breakpoint
CREATE INDEX "frames_workshop_id_name_index" ON "frames" USING btree ("workshop_id","name");--> statement-breakpoint
CREATE INDEX "rackets_workshop_id_client_id_index" ON "rackets" USING btree ("workshop_id","client_id");--> statement-breakpoint
CREATE INDEX "strings_workshop_id_name_index" ON "strings" USING btree ("workshop_id","name");--> statement-breakpoint
CREATE INDEX "tickets_workshop_id_closed_at_index" ON "tickets" USING btree ("workshop_id","closed_at");--> statement-breakpoint
CREATE INDEX "tickets_workshop_id_racket_id_index" ON "tickets" USING btree ("workshop_id","racket_id");