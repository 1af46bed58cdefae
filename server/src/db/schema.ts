import { bigint, index, integer, json, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { RawEntry } from '@ivory-crystal/core/notebook'

/** What the database knows of itself: the ledger's id, how much of the journal it holds. */
export const ledgerMeta = pgTable('ledger_meta', {
  key: text('key').primaryKey(),
  value: text('value').notNull(),
})

export const notebooks = pgTable('notebooks', {
  id: uuid('id').primaryKey(),
  title: text('title').notNull(),
  createdAt: bigint('created_at', { mode: 'number' }).notNull(),
})

export const entries = pgTable(
  'entries',
  {
    notebook: uuid('notebook').notNull(),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    id: uuid('id').notNull().unique(),
    kind: text('kind').notNull(),
    subject: text('subject').notNull(),
    recordedAt: bigint('recorded_at', { mode: 'number' }).notNull(),
    /** json and not jsonb: a line is kept as it came. */
    entry: json('entry').$type<RawEntry>().notNull(),
    /** Of this line and the one before it, SHA-256; null only in a database of before there were hashes. */
    hash: text('hash'),
  },
  (table) => [primaryKey({ columns: [table.notebook, table.seq] }), index('entries_kind').on(table.kind)],
)

/** Compounds, solvents, solubilities, instruments and house rules: changed by new versions only. */
export const shelfItems = pgTable(
  'shelf_items',
  {
    sort: text('sort').notNull(),
    id: text('id').notNull(),
    version: integer('version').notNull(),
    /** Where the values are from: the reference set, the demo, or the lab itself. */
    origin: text('origin').notNull(),
    body: json('body').notNull(),
    createdAt: bigint('created_at', { mode: 'number' }).notNull(),
    /** Bench code of who put it there; null for what ships, and where nobody said. */
    author: text('author'),
  },
  (table) => [primaryKey({ columns: [table.sort, table.id, table.version] })],
)
