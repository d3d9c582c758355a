import Checkbox from '@mui/material/Checkbox'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import { Key } from '../Key'
import styles from './dataTable.module.css'

interface Props {
  columns: { key: string; title: string; shown: boolean; onShow: (show: boolean) => void }[]
  onFile: () => void
}

/** Which columns are shown, and the rows as a file. */
export function TableKeys({ columns, onFile }: Props) {
  const [from, setFrom] = useState<HTMLElement | null>(null)
  return (
    <div className={styles.keys}>
      <Key look="outlined" aria-haspopup="menu" onClick={({ currentTarget }) => setFrom(currentTarget)}>
        Columns
      </Key>
      <Key look="outlined" onClick={onFile}>
        Save as CSV
      </Key>
      <Menu anchorEl={from} open={from !== null} onClose={() => setFrom(null)}>
        {columns.map(({ key, title, shown, onShow }) => (
          <MenuItem key={key} role="menuitemcheckbox" aria-checked={shown} onClick={() => onShow(!shown)}>
            <Checkbox checked={shown} tabIndex={-1} slotProps={{ input: { 'aria-hidden': true } }} />
            {title}
          </MenuItem>
        ))}
      </Menu>
    </div>
  )
}
