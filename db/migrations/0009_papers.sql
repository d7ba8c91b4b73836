-- For search: slips of the pen, and accents.
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS unaccent;--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS fuzzystrmatch;--> statement-breakpoint
CREATE TABLE "client_links" (
	"token" text PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"racket_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"withdrawn_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "client_links" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "finds" (
	"workshop_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"row_id" uuid NOT NULL,
	"number" integer,
	"title" text NOT NULL,
	"detail" text NOT NULL,
	"words" text NOT NULL,
	"main_n" double precision,
	"cross_n" double precision,
	"unit" text,
	"at" timestamp with time zone,
	CONSTRAINT "finds_kind_row_id_pk" PRIMARY KEY("kind","row_id")
);
--> statement-breakpoint
ALTER TABLE "finds" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "found_words" (
	"workshop_id" uuid NOT NULL,
	"word" text NOT NULL,
	CONSTRAINT "found_words_workshop_id_word_pk" PRIMARY KEY("workshop_id","word")
);
--> statement-breakpoint
ALTER TABLE "found_words" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "invoice_jobs" (
	"workshop_id" uuid NOT NULL,
	"invoice_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	CONSTRAINT "invoice_jobs_invoice_id_ticket_id_pk" PRIMARY KEY("invoice_id","ticket_id")
);
--> statement-breakpoint
ALTER TABLE "invoice_jobs" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "invoices" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"number" integer NOT NULL,
	"client_id" uuid NOT NULL,
	"day" date NOT NULL,
	"kind" text NOT NULL,
	"total_minor" integer NOT NULL,
	"reverses_id" uuid,
	"paper" jsonb NOT NULL,
	CONSTRAINT "invoices_reversesId_unique" UNIQUE("reverses_id"),
	CONSTRAINT "invoices_workshopId_id_unique" UNIQUE("workshop_id","id"),
	CONSTRAINT "invoices_workshopId_number_unique" UNIQUE("workshop_id","number"),
	CONSTRAINT "a credit note takes an invoice back" CHECK (("invoices"."kind" = 'credit note') = ("invoices"."reverses_id" is not null))
);
--> statement-breakpoint
ALTER TABLE "invoices" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "outbox" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"client_id" uuid NOT NULL,
	"ticket_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"about" text DEFAULT '' NOT NULL,
	"to_address" text NOT NULL,
	"subject" text NOT NULL,
	"text" text NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"sent_at" timestamp with time zone,
	"held_until" timestamp with time zone,
	"failure" text DEFAULT '' NOT NULL,
	"given" boolean DEFAULT false NOT NULL,
	CONSTRAINT "outbox_ticketId_kind_about_unique" UNIQUE("ticket_id","kind","about")
);
--> statement-breakpoint
ALTER TABLE "outbox" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "payments" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"ticket_id" uuid NOT NULL,
	"day" date NOT NULL,
	"way" text NOT NULL,
	"amount_minor" integer NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "a payment is of something" CHECK ("payments"."amount_minor" <> 0)
);
--> statement-breakpoint
ALTER TABLE "payments" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"ticket_id" uuid NOT NULL,
	"caption" text DEFAULT '' NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"image" "bytea" NOT NULL,
	"thumb" "bytea" NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "photos" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "price_items" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"unit_minor" integer NOT NULL,
	"tax_bp" integer NOT NULL,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "price_items" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "wishes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"racket_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"text" text DEFAULT '' NOT NULL,
	"answered_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "wishes" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP INDEX "tickets_workshop_id_closed_at_index";--> statement-breakpoint
DROP INDEX "tickets_workshop_id_racket_id_index";--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "address" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "may_write" text DEFAULT 'unasked' NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "may_write_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "visit" uuid;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "inspection" jsonb;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "extra" jsonb;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "to_pay_minor" integer;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "paid_minor" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "collected_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_client" text GENERATED ALWAYS AS (record #>> '{client}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_sport" text GENERATED ALWAYS AS (record #>> '{frame,sport}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_frame" text GENERATED ALWAYS AS (record #>> '{racket,frameName}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_mark" text GENERATED ALWAYS AS (record #>> '{racket,mark}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_mains" text GENERATED ALWAYS AS (record #>> '{setup,mains,name}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_crosses" text GENERATED ALWAYS AS (record #>> '{setup,crosses,name}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_by" text GENERATED ALWAYS AS (record #>> '{hands,strungBy,0,name}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_machine" text GENERATED ALWAYS AS (record #>> '{machine}') STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "taught_lengths" boolean GENERATED ALWAYS AS (coalesce(record -> 'plan' @? '$.pieces[*].leftOverMm ? (@ != null)', false)) STORED;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "taught_times" boolean GENERATED ALWAYS AS (coalesce(jsonb_typeof(record -> 'bench') = 'object', false)) STORED;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "locale" text DEFAULT 'en-GB' NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "address" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "country" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "tax_number" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "tax_included" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "labour_tax_bp" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "string_tax_bp" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "templates" jsonb;--> statement-breakpoint
ALTER TABLE "workshops" ADD COLUMN "next_invoice" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "client_links" ADD CONSTRAINT "client_links_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoice_jobs" ADD CONSTRAINT "invoice_jobs_workshop_id_invoice_id_invoices_workshop_id_id_fk" FOREIGN KEY ("workshop_id","invoice_id") REFERENCES "public"."invoices"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoice_jobs" ADD CONSTRAINT "invoice_jobs_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoices" ADD CONSTRAINT "invoices_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoices" ADD CONSTRAINT "invoices_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoices" ADD CONSTRAINT "invoices_workshop_id_client_id_clients_workshop_id_id_fk" FOREIGN KEY ("workshop_id","client_id") REFERENCES "public"."clients"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invoices" ADD CONSTRAINT "invoices_workshop_id_reverses_id_invoices_workshop_id_id_fk" FOREIGN KEY ("workshop_id","reverses_id") REFERENCES "public"."invoices"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outbox" ADD CONSTRAINT "outbox_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outbox" ADD CONSTRAINT "outbox_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outbox" ADD CONSTRAINT "outbox_workshop_id_client_id_clients_workshop_id_id_fk" FOREIGN KEY ("workshop_id","client_id") REFERENCES "public"."clients"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outbox" ADD CONSTRAINT "outbox_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "payments" ADD CONSTRAINT "payments_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "payments" ADD CONSTRAINT "payments_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "payments" ADD CONSTRAINT "payments_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_workshop_id_ticket_id_tickets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","ticket_id") REFERENCES "public"."tickets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_items" ADD CONSTRAINT "price_items_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wishes" ADD CONSTRAINT "wishes_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "client_links_racket_id_index" ON "client_links" USING btree ("racket_id");--> statement-breakpoint
CREATE INDEX "finds_words" ON "finds" USING gin (words gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "finds_workshop_id_kind_at_index" ON "finds" USING btree ("workshop_id","kind","at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "finds_workshop_id_number_index" ON "finds" USING btree ("workshop_id","number");--> statement-breakpoint
CREATE INDEX "finds_workshop_id_main_n_index" ON "finds" USING btree ("workshop_id","main_n");--> statement-breakpoint
CREATE INDEX "found_words_near" ON "found_words" USING gin (word gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "invoice_jobs_ticket_id_index" ON "invoice_jobs" USING btree ("ticket_id");--> statement-breakpoint
CREATE INDEX "invoices_workshop_id_day_index" ON "invoices" USING btree ("workshop_id","day");--> statement-breakpoint
CREATE INDEX "invoices_client_id_index" ON "invoices" USING btree ("client_id");--> statement-breakpoint
CREATE INDEX "outbox_waiting" ON "outbox" USING btree ("workshop_id","at") WHERE sent_at is null and not given;--> statement-breakpoint
CREATE INDEX "payments_ticket_id_index" ON "payments" USING btree ("ticket_id");--> statement-breakpoint
CREATE INDEX "payments_workshop_id_day_index" ON "payments" USING btree ("workshop_id","day");--> statement-breakpoint
CREATE INDEX "photos_ticket_id_at_index" ON "photos" USING btree ("ticket_id","at");--> statement-breakpoint
CREATE INDEX "price_items_workshop_id_name_index" ON "price_items" USING btree ("workshop_id","name");--> statement-breakpoint
CREATE INDEX "wishes_workshop_id_answered_at_index" ON "wishes" USING btree ("workshop_id","answered_at");--> statement-breakpoint
CREATE INDEX "tickets_workshop_id_closed_at_number_index" ON "tickets" USING btree ("workshop_id","closed_at" DESC NULLS LAST,"number" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_workshop_id_racket_id_number_index" ON "tickets" USING btree ("workshop_id","racket_id","number");--> statement-breakpoint
CREATE INDEX "tickets_open" ON "tickets" USING btree ("workshop_id","promised") WHERE closed_at is null and withdrawn_at is null;--> statement-breakpoint
CREATE INDEX "tickets_uncollected" ON "tickets" USING btree ("workshop_id","closed_at") WHERE closed_at is not null and collected_at is null;--> statement-breakpoint
CREATE INDEX "tickets_unpaid" ON "tickets" USING btree ("workshop_id","closed_at") WHERE closed_at is not null and paid_minor < to_pay_minor;--> statement-breakpoint
CREATE INDEX "tickets_taught_lengths" ON "tickets" USING btree ("workshop_id","job_sport","closed_at" DESC NULLS LAST) WHERE taught_lengths;--> statement-breakpoint
CREATE INDEX "tickets_taught_times" ON "tickets" USING btree ("workshop_id","job_sport","closed_at" DESC NULLS LAST) WHERE taught_times;--> statement-breakpoint
CREATE INDEX "tickets_in_order_of_client" ON "tickets" USING btree ("workshop_id","job_client" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null;--> statement-breakpoint
CREATE INDEX "tickets_in_order_of_racket" ON "tickets" USING btree ("workshop_id","job_frame" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null;--> statement-breakpoint
CREATE INDEX "tickets_in_order_of_string" ON "tickets" USING btree ("workshop_id","job_mains" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null;--> statement-breakpoint
CREATE INDEX "tickets_in_order_of_price" ON "tickets" USING btree ("workshop_id","to_pay_minor" DESC NULLS LAST,"number" DESC NULLS LAST) WHERE closed_at is not null;--> statement-breakpoint
CREATE INDEX "tickets_by_sport" ON "tickets" USING btree ("workshop_id","job_sport","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_by_frame" ON "tickets" USING btree ("workshop_id","job_frame","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_by_mains" ON "tickets" USING btree ("workshop_id","job_mains","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_by_crosses" ON "tickets" USING btree ("workshop_id","job_crosses","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_by_stringer" ON "tickets" USING btree ("workshop_id","job_by","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE INDEX "tickets_by_machine" ON "tickets" USING btree ("workshop_id","job_machine","closed_at" DESC NULLS LAST);--> statement-breakpoint
CREATE POLICY "wall" ON "client_links" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("client_links"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("client_links"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "finds" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("finds"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("finds"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "found_words" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("found_words"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("found_words"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "invoice_jobs" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("invoice_jobs"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("invoice_jobs"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "invoices" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("invoices"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("invoices"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "outbox" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("outbox"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("outbox"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "payments" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("payments"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("payments"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "photos" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("photos"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("photos"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "price_items" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("price_items"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("price_items"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "wishes" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("wishes"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("wishes"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
-- Of before it was kept apart from being closed: whatever was handed over was collected.
ALTER TABLE "tickets" DISABLE TRIGGER write_trail;--> statement-breakpoint
UPDATE "tickets" SET "collected_at" = "closed_at" WHERE "closed_at" IS NOT NULL;--> statement-breakpoint
ALTER TABLE "tickets" ENABLE TRIGGER write_trail;
