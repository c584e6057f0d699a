CREATE TABLE "rule_set_versions" (
	"set_id" uuid NOT NULL,
	"shop_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"rules" json NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"why" text NOT NULL,
	CONSTRAINT "rule_set_versions_set_id_version_pk" PRIMARY KEY("set_id","version")
);
--> statement-breakpoint
ALTER TABLE "rule_set_versions" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "rule_sets" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "rule_set_called" UNIQUE("shop_id","name")
);
--> statement-breakpoint
ALTER TABLE "rule_sets" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "rule_set_versions" ADD CONSTRAINT "rule_set_versions_set_id_rule_sets_id_fk" FOREIGN KEY ("set_id") REFERENCES "public"."rule_sets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rule_set_versions" ADD CONSTRAINT "rule_set_versions_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rule_sets" ADD CONSTRAINT "rule_sets_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "own_shop" ON "rule_set_versions" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "own_shop" ON "rule_sets" AS PERMISSIVE FOR ALL TO public USING (shop_id = nullif(current_setting('splay.shop', true), '')::uuid) WITH CHECK (shop_id = nullif(current_setting('splay.shop', true), '')::uuid);--> statement-breakpoint
ALTER TABLE "rule_set_versions" FORCE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "rule_sets" FORCE ROW LEVEL SECURITY;
