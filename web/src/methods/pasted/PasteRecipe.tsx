import Stack from '@mui/material/Stack'
import { LONGEST_RECIPE, type MeasureSystem, type Method } from '@logged-thermal/core'
import { pastedMessages, type Reader } from '@logged-thermal/wording'
import { begin } from '../../app/begun'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { Field } from '../../kit/Field'
import { speaks } from '../../kit/language'
import { FromTable } from './FromTable'
import { Understood } from './Understood'
import { usePasted } from './usePasted'
import styles from './pasted.module.css'

const say = speaks(pastedMessages)

interface Props {
  measures: MeasureSystem
  reader: Reader
  onDraft: (method: Method) => void
}

/** A recipe as text, and what was understood of it beside it: nothing is kept before it is confirmed. */
export function PasteRecipe({ measures, reader, onDraft }: Props) {
  const dispatch = useAppDispatch()
  const { text, right } = useAppSelector((state) => state.begun)
  const pasted = usePasted(text, measures)
  return (
    <div className={styles.paste}>
      <Stack spacing={2} useFlexGap>
        <FromTable />
        <Field
          label={say('theRecipe')}
          value={text}
          rows={16}
          max={LONGEST_RECIPE}
          hint={say('pasteHint')}
          onValue={(typed) => dispatch(begin({ text: typed }))}
        />
      </Stack>
      <div aria-live="polite">
        {pasted ? (
          // Another text is read anew: what was put right was of the one before.
          <Understood
            key={pasted.of}
            read={pasted.read}
            of={pasted.of}
            right={right}
            measures={measures}
            reader={reader}
            onRight={(put) => dispatch(begin({ right: put }))}
            onDraft={onDraft}
          />
        ) : (
          <p className="muted">{say('nothingRead')}</p>
        )}
      </div>
    </div>
  )
}
