UPDATE public.wishes SET answered_at = now() WHERE answered_at IS NULL AND EXISTS (
  SELECT 1 FROM public.wishes earlier WHERE earlier.workshop_id = wishes.workshop_id AND earlier.racket_id = wishes.racket_id
    AND earlier.answered_at IS NULL AND (earlier.at, earlier.id) < (wishes.at, wishes.id));--> statement-breakpoint
CREATE UNIQUE INDEX "wishes_workshop_id_racket_id_index" ON "wishes" USING btree ("workshop_id","racket_id") WHERE answered_at is null;
