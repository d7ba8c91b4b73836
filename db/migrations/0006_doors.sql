CREATE TABLE "devices" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"trusted_by" uuid NOT NULL,
	"trusted_at" timestamp with time zone DEFAULT now() NOT NULL,
	"removed_at" timestamp with time zone,
	CONSTRAINT "devices_tokenHash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "devices" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "members" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"role" text NOT NULL,
	"code_hash" text,
	"version" integer DEFAULT 1 NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	"left_at" timestamp with time zone,
	CONSTRAINT "members_workshopId_personId_unique" UNIQUE("workshop_id","person_id")
);
--> statement-breakpoint
ALTER TABLE "members" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "trail" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"about" text NOT NULL,
	"row_id" uuid NOT NULL,
	"name" text NOT NULL,
	"deed" text NOT NULL,
	"changes" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "trail" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "accounts" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"user_id" uuid NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"password" text,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "accounts" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "attempts" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
ALTER TABLE "attempts" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "passkeys" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"user_id" uuid NOT NULL,
	"name" text,
	"public_key" text NOT NULL,
	"credential_id" text NOT NULL,
	"counter" integer NOT NULL,
	"device_type" text NOT NULL,
	"backed_up" boolean NOT NULL,
	"transports" text,
	"aaguid" text,
	"created_at" timestamp with time zone DEFAULT now()
);
--> statement-breakpoint
ALTER TABLE "passkeys" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "people" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"username" text,
	"display_username" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email"),
	CONSTRAINT "people_username_unique" UNIQUE("username")
);
--> statement-breakpoint
ALTER TABLE "people" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"key" text NOT NULL,
	"count" integer NOT NULL,
	"last_request" bigint NOT NULL,
	CONSTRAINT "rate_limits_key_unique" UNIQUE("key")
);
--> statement-breakpoint
ALTER TABLE "rate_limits" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"user_id" uuid NOT NULL,
	"token" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"workshop_id" uuid,
	"device_id" uuid,
	"locked_at" timestamp with time zone,
	"watched_by" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sessions_token_unique" UNIQUE("token")
);
--> statement-breakpoint
ALTER TABLE "sessions" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "verifications" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "verifications" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "bench_events" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "clients" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "frames" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "machine_checks" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "machines" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "rackets" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "strings" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tickets" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "workshops" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "bench_events" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "bench_events" ADD COLUMN "watched_by" uuid;--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_trusted_by_people_id_fk" FOREIGN KEY ("trusted_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "passkeys" ADD CONSTRAINT "passkeys_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "devices_workshop_id_index" ON "devices" USING btree ("workshop_id");--> statement-breakpoint
CREATE INDEX "members_person_id_index" ON "members" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "trail_workshop_id_about_row_id_index" ON "trail" USING btree ("workshop_id","about","row_id");--> statement-breakpoint
CREATE INDEX "trail_workshop_id_at_index" ON "trail" USING btree ("workshop_id","at");--> statement-breakpoint
CREATE INDEX "accounts_user_id_index" ON "accounts" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "passkeys_user_id_index" ON "passkeys" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "passkeys_credential_id_index" ON "passkeys" USING btree ("credential_id");--> statement-breakpoint
CREATE INDEX "sessions_user_id_index" ON "sessions" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "verifications_identifier_index" ON "verifications" USING btree ("identifier");--> statement-breakpoint
ALTER TABLE "bench_events" ADD CONSTRAINT "bench_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bench_events" ADD CONSTRAINT "bench_events_watched_by_people_id_fk" FOREIGN KEY ("watched_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "wall" ON "bench_events" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("bench_events"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("bench_events"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "clients" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("clients"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("clients"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "frames" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("frames"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("frames"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "machine_checks" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("machine_checks"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("machine_checks"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "machines" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("machines"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("machines"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "rackets" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("rackets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("rackets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "strings" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("strings"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("strings"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "tickets" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("tickets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("tickets"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "workshops" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("workshops"."id" = nullif(current_setting('orthotens.workshop', true), '')::uuid or exists (select 1 from members where members.workshop_id = "workshops"."id" and members.person_id = nullif(current_setting('orthotens.person', true), '')::uuid and members.left_at is null))) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("workshops"."id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "devices" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("devices"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("devices"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "members" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("members"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid or "members"."person_id" = nullif(current_setting('orthotens.person', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("members"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "trail" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("trail"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("trail"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
CREATE POLICY "wall" ON "accounts" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "attempts" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "passkeys" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "people" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null or exists (select 1 from members where members.person_id = "people"."id" and members.workshop_id = nullif(current_setting('orthotens.workshop', true), '')::uuid))) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "rate_limits" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "sessions" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));--> statement-breakpoint
CREATE POLICY "wall" ON "verifications" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or (nullif(current_setting('orthotens.workshop', true), '')::uuid is null));