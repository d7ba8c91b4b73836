-- The pieces of a job without the parts that they add up from.
CREATE FUNCTION pieces_in_short(record jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
  SELECT jsonb_agg(piece - 'parts' ORDER BY place) FROM jsonb_array_elements(record #> '{plan,pieces}') WITH ORDINALITY AS each(piece, place)
$$;--> statement-breakpoint
ALTER TABLE "tickets" ADD COLUMN "job_pieces" jsonb GENERATED ALWAYS AS (pieces_in_short(record)) STORED;