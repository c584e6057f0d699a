ALTER TABLE "shops" ADD COLUMN "demo" boolean DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE "shops" SET "demo" = true WHERE "id" IN (
  SELECT "members"."shop_id" FROM "members" JOIN "user" ON "user"."id" = "members"."user_id"
  WHERE "user"."email" = 'owner@windrow-lane.example'
);
