CREATE TABLE "beds_read" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"racket_id" uuid NOT NULL,
	"taken_on" text NOT NULL,
	"seen" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"removed_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "beds_read" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "last_look" jsonb;--> statement-breakpoint
ALTER TABLE "beds_read" ADD CONSTRAINT "beds_read_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "beds_read" ADD CONSTRAINT "beds_read_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "beds_read" ADD CONSTRAINT "beds_read_workshop_id_racket_id_rackets_workshop_id_id_fk" FOREIGN KEY ("workshop_id","racket_id") REFERENCES "public"."rackets"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "beds_read_workshop_id_racket_id_index" ON "beds_read" USING btree ("workshop_id","racket_id");--> statement-breakpoint
CREATE POLICY "wall" ON "beds_read" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("beds_read"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("beds_read"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));