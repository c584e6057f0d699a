CREATE TABLE "attempts" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "links" (
	"token" text PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"role" text,
	"user_id" text,
	"made_by" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "import_key" text;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "card" json;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "card_of" text;--> statement-breakpoint
ALTER TABLE "members" ADD COLUMN "name" text;--> statement-breakpoint
-- Names are unique in a shop: a second one of a name gets a number.
UPDATE "members" SET "name" = left("named"."name", 50) || CASE WHEN "named"."nth" = 1 THEN '' ELSE ' ' || "named"."nth" END
FROM (
  SELECT "m"."user_id", "m"."shop_id", "u"."name",
    row_number() OVER (PARTITION BY "m"."shop_id", lower(left("u"."name", 50)) ORDER BY "u"."created_at", "u"."id") AS "nth"
  FROM "members" "m" JOIN "user" "u" ON "u"."id" = "m"."user_id"
) AS "named"
WHERE "named"."user_id" = "members"."user_id" AND "named"."shop_id" = "members"."shop_id";--> statement-breakpoint
ALTER TABLE "members" ALTER COLUMN "name" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "stored" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "links_of_shop" ON "links" USING btree ("shop_id");--> statement-breakpoint
CREATE UNIQUE INDEX "members_called" ON "members" USING btree ("shop_id",lower("name"));--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_import" UNIQUE("shop_id","import_key");