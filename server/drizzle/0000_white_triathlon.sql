CREATE TABLE "entries" (
	"notebook" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"id" uuid NOT NULL,
	"kind" text NOT NULL,
	"subject" text NOT NULL,
	"recorded_at" bigint NOT NULL,
	"entry" json NOT NULL,
	CONSTRAINT "entries_notebook_seq_pk" PRIMARY KEY("notebook","seq"),
	CONSTRAINT "entries_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "ledger_meta" (
	"key" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "notebooks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"created_at" bigint NOT NULL,
	"next_seq" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shelf_items" (
	"sort" text NOT NULL,
	"id" text NOT NULL,
	"version" integer NOT NULL,
	"origin" text NOT NULL,
	"body" json NOT NULL,
	"created_at" bigint NOT NULL,
	CONSTRAINT "shelf_items_sort_id_version_pk" PRIMARY KEY("sort","id","version")
);
--> statement-breakpoint
CREATE INDEX "entries_kind" ON "entries" USING btree ("kind");