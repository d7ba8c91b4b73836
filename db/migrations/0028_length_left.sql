ALTER TABLE "stock_lengths" ADD COLUMN "left_mm" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "stock_lengths_there" ON "stock_lengths" USING btree ("workshop_id") WHERE left_mm >= 1;--> statement-breakpoint
UPDATE stock_lengths SET left_mm = mm + coalesce((SELECT sum(stock_moves.mm) FROM stock_moves WHERE stock_moves.workshop_id = stock_lengths.workshop_id AND length_id = stock_lengths.id), 0);--> statement-breakpoint
-- What is left of a length follows from its movements, whoever writes them.
CREATE FUNCTION keep_length_left() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
BEGIN
  IF TG_TABLE_NAME = 'stock_lengths' THEN
    NEW.left_mm := NEW.mm;
  ELSE
    UPDATE stock_lengths SET left_mm = left_mm + NEW.mm WHERE workshop_id = NEW.workshop_id AND id = NEW.length_id;
  END IF;
  RETURN NEW;
END $$;--> statement-breakpoint
CREATE TRIGGER length_left BEFORE INSERT ON stock_lengths FOR EACH ROW EXECUTE FUNCTION keep_length_left();--> statement-breakpoint
CREATE TRIGGER length_left AFTER INSERT ON stock_moves FOR EACH ROW EXECUTE FUNCTION keep_length_left();
