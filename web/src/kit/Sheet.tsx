import { kitMessages } from '@logged-thermal/wording'
import Modal from '@mui/material/Modal'
import { useId, type ReactNode } from 'react'
import { Key } from './Key'
import styles from './sheet.module.css'
import { speaks } from './language'

const say = speaks(kitMessages)

interface Props {
  open: boolean
  onClose: () => void
  title: string
  /** All that was entered in it is saved: it ends with Done. Else it ends with Not now. */
  saved?: boolean
  children: ReactNode
}

/** A sheet over the page. What lies under it is dimmed: it cannot be reached until the sheet is closed. */
export function Sheet({ open, onClose, title, saved = false, children }: Props) {
  const id = useId()
  return (
    <Modal open={open} onClose={onClose} slotProps={{ backdrop: { className: styles.shade ?? '' } }}>
      <div className={styles.sheet} role="dialog" aria-modal aria-labelledby={id} tabIndex={-1}>
        <div className={styles.head}>
          <h2 className="title" id={id}>
            {title}
          </h2>
          <Key look={saved ? 'primary' : 'outlined'} onClick={onClose}>
            {saved ? say('done') : say('notNow')}
          </Key>
        </div>
        {children}
      </div>
    </Modal>
  )
}
