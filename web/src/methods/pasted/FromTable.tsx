import Stack from '@mui/material/Stack'
import { useState } from 'react'
import { pastedMessages } from '@logged-thermal/wording'
import { begin } from '../../app/begun'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { FileKey } from '../../kit/FileKey'
import { Key } from '../../kit/Key'
import { KeyRow } from '../../kit/KeyRow'
import { speaks } from '../../kit/language'
import { readTable } from './tableFile'

const say = speaks(pastedMessages)

/** A file of many recipes: each stands as a key until a draft was made of it. */
export function FromTable() {
  const dispatch = useAppDispatch()
  const { text, table } = useAppSelector((state) => state.begun)
  const [wrong, setWrong] = useState<string | null>(null)
  const take = async (file: File) => {
    const read = await readTable(file)
    if (read?.kind === 'recipes' && read.recipes.length > 0) {
      setWrong(null)
      dispatch(begin({ table: read.recipes }))
    } else
      setWrong(read?.kind === 'no column' ? say('noColumn', { column: say(`column_${read.column}`) }) : say('noTable'))
  }
  return (
    <Stack component="section" spacing={1} useFlexGap sx={{ alignItems: 'flex-start' }} aria-label={say('fromTable')}>
      <FileKey label={say('tableFile')} accept=".csv,.tsv,.txt,text/csv" onFile={(file) => void take(file)}>
        {say('openTable')}
      </FileKey>
      {wrong && <p role="alert">{wrong}</p>}
      {table.length > 0 && (
        <>
          <p>{say('leftInTable', { count: table.length })}</p>
          <KeyRow>
            {table.map((recipe) => (
              <Key
                key={recipe.title}
                look={recipe.text === text ? 'primary' : 'outlined'}
                aria-pressed={recipe.text === text}
                onClick={() => dispatch(begin({ text: recipe.text }))}
              >
                {recipe.title}
              </Key>
            ))}
          </KeyRow>
        </>
      )}
    </Stack>
  )
}
