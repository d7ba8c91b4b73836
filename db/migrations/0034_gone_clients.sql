-- The rackets of who is no client any more are found no more than they are: their jobs are.
CREATE OR REPLACE FUNCTION keep_found_racket(asked uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  racket rackets; client clients; frame text; kept finds;
BEGIN
  SELECT * INTO racket FROM rackets WHERE id = asked;
  SELECT * INTO client FROM clients WHERE id = racket.client_id;
  IF racket.removed_at IS NOT NULL OR client.removed_at IS NOT NULL THEN PERFORM forget_found(ARRAY['racket'], asked); RETURN; END IF;
  SELECT name INTO frame FROM frames WHERE id = racket.frame_id;
  kept.workshop_id := racket.workshop_id; kept.kind := 'racket'; kept.row_id := racket.id;
  kept.title := concat_ws(', ', coalesce(frame, racket.label), nullif(racket.mark, ''));
  kept.detail := client.name;
  kept.words := found_text(ARRAY[client.name, frame, racket.label, racket.mark, racket.notes]);
  PERFORM keep_found(kept);
END $$;--> statement-breakpoint
SELECT keep_found_racket(rackets.id) FROM rackets JOIN clients ON clients.id = client_id WHERE clients.removed_at IS NOT NULL;
