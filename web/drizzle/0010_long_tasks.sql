CREATE TABLE "long_tasks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"asked" "bytea" NOT NULL,
	"answer" "bytea",
	"made_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "long_tasks" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "long_tasks" ADD CONSTRAINT "long_tasks_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "long_tasks_of_shop" ON "long_tasks" USING btree ("shop_id","made_at");--> statement-breakpoint
CREATE POLICY "own_shop" ON "long_tasks" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "long_tasks" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "long_tasks" ALTER COLUMN "asked" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "long_tasks" ALTER COLUMN "answer" SET STORAGE EXTERNAL;
