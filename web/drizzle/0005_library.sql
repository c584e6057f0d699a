CREATE TABLE "library_items" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"shop_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"from_job" text NOT NULL,
	"document" json NOT NULL,
	"saved_by" text NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "library_items" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "library_items" ADD CONSTRAINT "library_items_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "library_of_shop" ON "library_items" USING btree ("shop_id","kind","name");--> statement-breakpoint
CREATE POLICY "own_shop" ON "library_items" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "library_items" FORCE ROW LEVEL SECURITY;
