import Modal from '@mui/material/Modal'
import type { ReactNode } from 'react'
import { Key } from './Key'

/** A sheet between header and nav. No shade: what is behind it is not asked about. */
export function Sheet({
  open,
  onClose,
  title,
  children,
}: {
  open: boolean
  onClose: () => void
  title: string
  children: ReactNode
}) {
  return (
    <Modal open={open} onClose={onClose} hideBackdrop>
      <div className="sheet" role="dialog" aria-label={title}>
        <div className="sheet-head">
          <h2 className="title">{title}</h2>
          <Key look="outlined" onClick={onClose}>
            Not now
          </Key>
        </div>
        {children}
      </div>
    </Modal>
  )
}
