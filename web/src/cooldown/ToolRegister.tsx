import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { TOOL_KINDS, type ToolKind, type ToolState } from '@logged-thermal/core'
import { toolsMessages, toolWord } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { speaks, spoken } from '../kit/language'
import styles from './cooldown.module.css'

const say = speaks(toolsMessages)

/** The tools that one food after another goes through, with what was in each last. */
export function ToolRegister({ tools, mayWrite }: { tools: readonly ToolState[]; mayWrite: boolean }) {
  const tell = useTool()
  return (
    <section>
      <h3>{say('tools')}</h3>
      <p className="muted">{say('whatGoesThrough')}</p>
      <ul>
        {tools.map(({ uses, ...tool }) => (
          <li key={tool.tool}>
            <strong>{tool.name}</strong>
            <small>
              {toolWord(tool.kind, spoken)},{' '}
              {uses.length > 0 ? say('lastIn', { called: uses.at(-1)!.called }) : say('nothingYet')}
            </small>
            {mayWrite && (
              <Key look="quiet" onClick={() => tell({ ...tool, gone: !tool.gone })}>
                {tool.gone ? say('backInUse') : say('noLonger')}
              </Key>
            )}
          </li>
        ))}
      </ul>
      {mayWrite && <ToolForm />}
    </section>
  )
}

function useTool() {
  const enter = useEnter()
  const kitchen = useLine()?.kitchen.id ?? ''
  return (tool: Omit<ToolState, 'uses'>) => void enter('tool-registered', kitchen, tool)
}

function ToolForm() {
  const tell = useTool()
  const [kind, setKind] = useState<ToolKind>('sieve')
  const { control, handleSubmit, reset } = useForm({
    defaultValues: { name: '' },
    resolver: judgedBy<{ name: string }>(({ name }) => ({ name: name.trim() === '' ? say('giveToolName') : null })),
  })
  const register = handleSubmit(({ name }) => {
    tell({ tool: uuid(), name: name.trim(), kind, gone: false })
    reset()
  })
  return (
    <form className={styles.registerForm} onSubmit={(event) => void register(event)}>
      <FormField control={control} name="name" label={say('newTool')} />
      <ChoiceKeys
        name={say('kind')}
        options={TOOL_KINDS}
        chosen={kind}
        words={(each) => toolWord(each, spoken)}
        onChoose={setKind}
      />
      <Key look="primary" type="submit">
        {say('registerTool')}
      </Key>
    </form>
  )
}
