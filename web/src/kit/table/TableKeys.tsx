import { kitMessages } from '@logged-thermal/wording'
import Checkbox from '@mui/material/Checkbox'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import { Key } from '../Key'
import styles from './dataTable.module.css'
import { speaks } from '../language'

const say = speaks(kitMessages)

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
        {say('columns')}
      </Key>
      <Key look="outlined" onClick={onFile}>
        {say('saveAsCsv')}
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
