CREATE TABLE "attachments" (
	"shop_id" uuid NOT NULL,
	"hash" text NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"received_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "attachments_shop_id_hash_pk" PRIMARY KEY("shop_id","hash")
);
--> statement-breakpoint
ALTER TABLE "attachments" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "records" (
	"shop_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"id" text NOT NULL,
	"kind" text NOT NULL,
	"version" integer NOT NULL,
	"body" json NOT NULL,
	"taken" text NOT NULL,
	"user_id" text,
	"taken_by" text NOT NULL,
	"replaces" text,
	"received_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "records_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "records" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "records" ADD CONSTRAINT "records_shop_id_job_id_jobs_shop_id_id_fk" FOREIGN KEY ("shop_id","job_id") REFERENCES "public"."jobs"("shop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "own_shop" ON "attachments" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "own_shop" ON "records" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
-- What was kept as readings, and the cautions read in the newest revision of each job, are records now. The owner of
-- the tables is let past the walls for as long as that takes.
ALTER TABLE "readings" NO FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "jobs" NO FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "job_revisions" NO FORCE ROW LEVEL SECURITY;--> statement-breakpoint
INSERT INTO "records" ("shop_id", "job_id", "id", "kind", "version", "body", "taken", "taken_by", "received_at")
SELECT "shop_id", "job_id", "id", 'reading', 1,
       json_build_object('measurement', "measurement", 'stage', "stage", 'value', "value"),
       "taken", "taken_by", "received_at"
FROM "readings";--> statement-breakpoint
INSERT INTO "records" ("shop_id", "job_id", "id", "kind", "version", "body", "taken", "taken_by")
SELECT jobs."shop_id", jobs."id", 'caution-read-' || caution."number", 'caution-read', 1,
       json_build_object('step', caution."value"->>'step', 'caution', caution."value"->>'caution'),
       caution."value"->>'at', caution."value"->>'by'
FROM "jobs"
JOIN "job_revisions" ON job_revisions."job_id" = jobs."id" AND job_revisions."number" = jobs."head"
CROSS JOIN LATERAL json_array_elements(
  CASE WHEN json_typeof(job_revisions."document"->'cautionsRead') = 'array'
       THEN job_revisions."document"->'cautionsRead' ELSE '[]'::json END
) WITH ORDINALITY AS caution("value", "number");--> statement-breakpoint
DROP TABLE "readings" CASCADE;--> statement-breakpoint
ALTER TABLE "jobs" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "job_revisions" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "records" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "attachments" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TRIGGER "records_append_only" BEFORE UPDATE OR DELETE ON "records" FOR EACH ROW EXECUTE FUNCTION "append_only"();--> statement-breakpoint
CREATE TRIGGER "attachments_append_only" BEFORE UPDATE OR DELETE ON "attachments" FOR EACH ROW EXECUTE FUNCTION "append_only"();
