-- Whatever changes in a workshop's day is told to every server that listens (db/live.ts); of one transaction, once.
CREATE FUNCTION tell_day() RETURNS trigger LANGUAGE plpgsql SET search_path = pg_catalog, public AS $$
BEGIN
  PERFORM pg_notify('orthotens_day', NEW.workshop_id::text);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON tickets FOR EACH ROW EXECUTE FUNCTION tell_day();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT ON bench_events FOR EACH ROW EXECUTE FUNCTION tell_day();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON arrangements FOR EACH ROW EXECUTE FUNCTION tell_day();--> statement-breakpoint
CREATE TRIGGER tell_day AFTER INSERT OR UPDATE ON benches FOR EACH ROW EXECUTE FUNCTION tell_day();
