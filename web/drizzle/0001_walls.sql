-- The owner of the tables is walled like everybody else.
ALTER TABLE "jobs" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "job_revisions" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "readings" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
-- Revisions and readings are only ever added. They go with their job (a cascade fires at a trigger depth above 0).
CREATE FUNCTION "append_only"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND pg_trigger_depth() > 1 THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'rows of % are only ever added', TG_TABLE_NAME;
END
$$;--> statement-breakpoint
CREATE TRIGGER "job_revisions_append_only" BEFORE UPDATE OR DELETE ON "job_revisions" FOR EACH ROW EXECUTE FUNCTION "append_only"();--> statement-breakpoint
CREATE TRIGGER "readings_append_only" BEFORE UPDATE OR DELETE ON "readings" FOR EACH ROW EXECUTE FUNCTION "append_only"();
