import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { fileName } from '../../format/fileName'
import { download } from '../../device/download'
import { csvOfTable, tablesOn } from './pageTables'

/** The tables of the page under it, each as a file for a spreadsheet. */
export function TablesSheet({ onHide }: { onHide: () => void }) {
  const [tables] = useState(() => {
    const page = document.querySelector('main')
    return page ? tablesOn(page) : []
  })
  return (
    <Modal show onHide={onHide} aria-label="Tables of this page">
      <Modal.Header closeButton>
        <Modal.Title as="h2">Tables of this page</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {tables.length === 0 && <p>There is no complete table on this page. The shelf has its own export.</p>}
        {tables.length > 0 && (
          <p className="quiet">
            As CSV, for any spreadsheet: UTF-8, commas, decimal points, units in the headings.
          </p>
        )}
        {tables.map((table) => (
          <p key={table.name} className="row-of align-items-center mb-2">
            <Button
              size="sm"
              variant="outline-primary"
              onClick={() => {
                download(`${fileName(table.name)}.csv`, csvOfTable(table), 'text/csv;charset=utf-8')
              }}
            >
              Save
            </Button>{' '}
            {table.name}, {table.rows.length - table.heads} rows
          </p>
        ))}
      </Modal.Body>
    </Modal>
  )
}
