import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableRow from '@mui/material/TableRow'
import { useParams } from 'react-router'
import { heldTo, dayOf, factsOf, families, gatesAt, ingredientOf, limitsAt } from '@logged-thermal/core'
import { grams, limitTitle, sourceLine, stepName, methodsMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { PrintedPage } from '../kit/PrintedPage'
import { instructionOf } from './editing'
import { MethodLabel } from './MethodLabel'
import { MethodWays } from './MethodWays'
import { asSentence } from './sentence'
import { Whole } from '../kit/Whole'
import styles from './card.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)

/** A method on one page, to hang beside the stove: black on white. */
export function MethodCard() {
  const line = useLine()
  const now = useNow(60_000)
  const { id } = useParams()
  const { reader } = useHand(line)
  const state = line?.methods.find((each) => each.id === id)
  const method = state?.versions.at(-1)
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  if (!line || !state || !method || !limits) return <Whole>{say('kitchenNoSuchMethod')}</Whole>
  const day = dayOf(now, line.kitchen.zone)
  const { checks } = heldTo(method, 1, limits, limits.practice.susceptible, day, state.signed)
  const facts = factsOf(method, (other) => line.methods.find((each) => each.id === other)?.versions.at(-1) ?? null)
  return (
    <PrintedPage
      className={styles.card}
      label={say('cardOf', { method: method.name })}
      back={{ to: `/methods/${method.id}`, words: say('backMethod') }}
      print={say('print')}
    >
      <header>
        <h1>{method.name}</h1>
        <p>
          {say('versionFamiliesVersionKitchen', {
            families: families[method.family].name,
            version: method.version,
            kitchen: line.kitchen.name,
          })}
        </p>
      </header>
      <section>
        <h2>{say('forGrams', { grams: grams(facts.grams) })}</h2>
        <Table className={styles.amounts}>
          <TableBody>
            {method.amounts.map((amount) => (
              <TableRow key={amount.key}>
                <TableCell>
                  {ingredientOf(amount, method)?.name ?? amount.ingredient}
                  {amount.state === 'as it is' ? '' : `, ${amount.state}`}
                </TableCell>
                <TableCell>{amount.grams === null ? '?' : grams(amount.grams)}</TableCell>
                <TableCell>{amount.count === null ? '' : say('piecesCount', { count: amount.count })}</TableCell>
              </TableRow>
            ))}
            {method.components.map((component) => (
              <TableRow key={component.key}>
                <TableCell>{component.name}</TableCell>
                <TableCell>{component.grams === null ? '?' : grams(component.grams)}</TableCell>
                <TableCell />
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </section>
      <section>
        <h2>{say('steps')}</h2>
        <ol>
          {method.steps.map((step) => {
            const { text, activeMinutes, passiveMinutes, oven, target } = instructionOf(method, step.key)
            return (
              <li key={step.key}>
                <b>{stepName(step.kind, reader)}.</b> {asSentence(text)}
                {activeMinutes ? say('minActiveminutes2', { activeMinutes }) : ''}
                {passiveMinutes ? say('thenMin', { least: passiveMinutes.least, most: passiveMinutes.most }) : ''}
                {target
                  ? say('aimForCF', { c: target.from.c, c2: target.to.c, f: target.from.f, f2: target.to.f })
                  : ''}
                {oven ? say('ovenAt', { oven: oven.value, unit: oven.unit }) : ''}
                {gatesAt(step.key, checks).map((check) => (
                  <span className={styles.check} key={check.key}>
                    {limitTitle(check, reader)}, °{reader.scale} ({sourceLine(check, reader)})
                  </span>
                ))}
              </li>
            )
          })}
        </ol>
      </section>
      <MethodWays method={method} />
      <MethodLabel method={method} facts={facts} checks={checks} />
      <footer>{say('aidNotAuthorityLimits')}</footer>
    </PrintedPage>
  )
}
