CREATE TABLE "invitations" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"role" text NOT NULL,
	"invited_by" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"taken_at" timestamp with time zone,
	"withdrawn_at" timestamp with time zone,
	CONSTRAINT "invitations_tokenHash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "invitations" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_invited_by_people_id_fk" FOREIGN KEY ("invited_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "invitations_workshop_id_index" ON "invitations" USING btree ("workshop_id");--> statement-breakpoint
CREATE POLICY "wall" ON "invitations" AS PERMISSIVE FOR ALL TO public USING ("invitations"."workshop_id" = (select at_workshop())) WITH CHECK ("invitations"."workshop_id" = (select at_workshop()));--> statement-breakpoint
-- Who has its address may know of an invitation before it is known who they are.
CREATE FUNCTION public.invitation(asked text) RETURNS TABLE(workshop_id uuid, id uuid) LANGUAGE plpgsql SECURITY DEFINER SET search_path TO 'pg_catalog', 'public', 'pg_temp' AS $$
BEGIN
  PERFORM set_config('orthotens.everything', 'on', true);
  RETURN QUERY SELECT invitations.workshop_id, invitations.id FROM public.invitations
    WHERE invitations.token_hash = asked AND invitations.taken_at IS NULL AND invitations.withdrawn_at IS NULL AND invitations.expires_at > now();
  PERFORM set_config('orthotens.everything', 'off', true);
END $$;
