ALTER TABLE "tickets" ADD COLUMN "strung_for" uuid;--> statement-breakpoint
ALTER TABLE "tickets" ADD CONSTRAINT "tickets_workshop_id_strung_for_clients_workshop_id_id_fk" FOREIGN KEY ("workshop_id","strung_for") REFERENCES "public"."clients"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "tickets_of_who_had_it" ON "tickets" USING btree ("workshop_id") WHERE strung_for is not null;--> statement-breakpoint
-- A client, or whom they were merged into.
CREATE FUNCTION client_now(asked uuid) RETURNS uuid LANGUAGE sql STABLE STRICT AS $$
  WITH RECURSIVE same AS (
    SELECT id, merged_into FROM clients WHERE id = asked
    UNION ALL SELECT clients.id, clients.merged_into FROM clients JOIN same ON clients.id = same.merged_into)
  SELECT id FROM same WHERE merged_into IS NULL
$$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION keep_found_ticket(asked uuid) RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  ticket tickets;
  client text; reach text; frame text; bench_mark text; mains text; crosses text; machine text; zone text;
  kept finds;
BEGIN
  SELECT * INTO ticket FROM tickets WHERE id = asked;
  PERFORM forget_found(ARRAY[CASE WHEN ticket.closed_at IS NULL THEN 'job' ELSE 'ticket' END], asked);
  IF ticket.removed_at IS NOT NULL THEN PERFORM forget_found(ARRAY['ticket', 'job'], asked); RETURN; END IF;
  SELECT clients.name, clients.contact, coalesce(frames.name, rackets.label), rackets.mark
    INTO client, reach, frame, bench_mark
    FROM rackets JOIN clients ON clients.id = coalesce(client_now(ticket.strung_for), rackets.client_id) LEFT JOIN frames ON frames.id = rackets.frame_id
    WHERE rackets.id = ticket.racket_id;
  SELECT time_zone INTO zone FROM workshops WHERE id = ticket.workshop_id;
  IF ticket.closed_at IS NULL THEN
    SELECT name INTO mains FROM strings WHERE id = ticket.main_string_id;
    SELECT name INTO crosses FROM strings WHERE id = ticket.cross_string_id;
    SELECT name INTO machine FROM machines WHERE id = ticket.machine_id;
  ELSE
    frame := coalesce(ticket.job_frame, frame);
    mains := ticket.job_mains; crosses := ticket.job_crosses; machine := ticket.job_machine;
  END IF;
  kept.workshop_id := ticket.workshop_id;
  kept.kind := CASE WHEN ticket.closed_at IS NULL THEN 'ticket' ELSE 'job' END;
  kept.row_id := ticket.id;
  kept.number := ticket.number;
  kept.title := concat_ws(', ', client, frame, nullif(bench_mark, ''));
  kept.detail := concat_ws(' / ', mains, CASE WHEN crosses IS DISTINCT FROM mains THEN crosses END);
  kept.main_n := ticket.main_n; kept.cross_n := ticket.cross_n; kept.unit := ticket.tension_unit;
  kept.at := coalesce(ticket.closed_at, ticket.taken_in);
  kept.words := found_text(ARRAY[
    ticket.number::text, client, ticket.job_client, reach, frame, bench_mark, mains, crosses,
    to_char(ticket.main_gauge_mm, 'FM0.00'), to_char(ticket.cross_gauge_mm, 'FM0.00'), ticket.method, machine,
    ticket.wish, ticket.condition, ticket.withdrawn_why, ticket.job_sport, ticket.job_by, ticket.record ->> 'remarks']);
  PERFORM keep_found(kept);
END $$;--> statement-breakpoint
-- What was strung for somebody who gave the racket away since is known by their new name, too.
CREATE FUNCTION found_who_had_it() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  one uuid;
BEGIN
  FOR one IN SELECT id FROM tickets WHERE workshop_id = NEW.workshop_id AND strung_for IS NOT NULL AND client_now(strung_for) IN (NEW.id, NEW.merged_into)
    LOOP PERFORM keep_found_ticket(one); END LOOP;
  RETURN NULL;
END $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION found_who_had_it() FROM PUBLIC;--> statement-breakpoint
CREATE TRIGGER found_who_had_it AFTER UPDATE OF name, contact, merged_into ON clients FOR EACH ROW EXECUTE FUNCTION found_who_had_it();
