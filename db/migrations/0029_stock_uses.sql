CREATE TABLE "stock_uses" (
	"workshop_id" uuid NOT NULL,
	"day" date NOT NULL,
	"string_id" uuid NOT NULL,
	"gauge_mm" double precision NOT NULL,
	"mm" double precision NOT NULL,
	CONSTRAINT "stock_uses_workshop_id_day_string_id_gauge_mm_pk" PRIMARY KEY("workshop_id","day","string_id","gauge_mm")
);
--> statement-breakpoint
ALTER TABLE "stock_uses" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP INDEX "stock_lengths_workshop_id_string_id_gauge_mm_index";--> statement-breakpoint
ALTER TABLE "stock_uses" ADD CONSTRAINT "stock_uses_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_uses" ADD CONSTRAINT "stock_uses_workshop_id_string_id_strings_workshop_id_id_fk" FOREIGN KEY ("workshop_id","string_id") REFERENCES "public"."strings"("workshop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stock_lengths_bought" ON "stock_lengths" USING btree ("workshop_id","string_id","gauge_mm","day" DESC NULLS LAST);--> statement-breakpoint
CREATE POLICY "wall" ON "stock_uses" AS PERMISSIVE FOR ALL TO public USING (current_setting('orthotens.everything', true) = 'on' or ("stock_uses"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid)) WITH CHECK (current_setting('orthotens.everything', true) = 'on' or ("stock_uses"."workshop_id" = nullif(current_setting('orthotens.workshop', true), '')::uuid));--> statement-breakpoint
INSERT INTO stock_uses (workshop_id, day, string_id, gauge_mm, mm)
  SELECT cut.workshop_id, (cut.at AT TIME ZONE 'UTC')::date, string_id, gauge_mm, -sum(cut.mm)
  FROM stock_moves cut JOIN stock_lengths ON stock_lengths.workshop_id = cut.workshop_id AND stock_lengths.id = cut.length_id
  WHERE cut.kind = 'cut' AND NOT EXISTS (SELECT FROM stock_moves undoing WHERE undoing.undoes = cut.id)
  GROUP BY 1, 2, 3, 4;--> statement-breakpoint
-- A cut is used on its day, and one that is taken back was not used on that day.
CREATE FUNCTION keep_stock_use() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_catalog AS $$
DECLARE
  cut stock_moves;
BEGIN
  IF NEW.kind = 'cut' THEN
    cut := NEW;
  ELSE
    SELECT * INTO cut FROM stock_moves WHERE workshop_id = NEW.workshop_id AND id = NEW.undoes AND kind = 'cut';
    IF cut.id IS NULL THEN RETURN NEW; END IF;
  END IF;
  INSERT INTO stock_uses (workshop_id, day, string_id, gauge_mm, mm)
    SELECT NEW.workshop_id, (cut.at AT TIME ZONE 'UTC')::date, string_id, gauge_mm, -NEW.mm
    FROM stock_lengths WHERE workshop_id = NEW.workshop_id AND id = NEW.length_id
    ON CONFLICT (workshop_id, day, string_id, gauge_mm) DO UPDATE SET mm = stock_uses.mm + excluded.mm;
  RETURN NEW;
END $$;--> statement-breakpoint
CREATE TRIGGER stock_use AFTER INSERT ON stock_moves FOR EACH ROW WHEN (NEW.kind IN ('cut', 'undone')) EXECUTE FUNCTION keep_stock_use();
