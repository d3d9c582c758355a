import { limitsMessages } from '@logged-thermal/wording'
import type { Rule } from '@logged-thermal/core'
import { colourOf, thicknessOf } from '../parts/temperatureScale'
import styles from './limits.module.css'
import { speaks } from '../kit/language'

const say = speaks(limitsMessages)

/** A limit as the gate that it is, with the ribbon in it: 50 by 40. */
export function LimitPicture({ rule }: { rule: Rule }) {
  return (
    <svg className={styles.limitPicture} width="50" height="40" viewBox="0 0 50 40" aria-hidden="true">
      <rect width="50" height="40" rx="6" fill="var(--glass)" />
      <Gate rule={rule} />
    </svg>
  )
}

function Gate({ rule }: { rule: Rule }) {
  switch (rule.kind) {
    case 'hold':
      return <Reach celsius={rule.rows.at(-1)!.at.c} shelf={rule.rows.some(({ seconds }) => seconds > 0)} />
    case 'equivalent':
      return <Reach celsius={rule.reference.atCelsius} shelf />
    case 'reach':
      return rule.direction === 'falling' ? <Under celsius={rule.to.c} /> : <Reach celsius={rule.to.c} shelf={false} />
    case 'stay':
      return <Rails celsius={rule.level.c} />
    case 'exposure':
      return <Rails celsius={rule.low.c} />
    case 'days':
    case 'hours':
      return (
        <>
          <rect y="16" width="34" height="8" fill={colourOf(4)} />
          <path d="M36 4h3v32h-3ZM42 4h3v32h-3Z" fill="var(--on-glass)" />
        </>
      )
    case 'acidity':
      return (
        <>
          <rect y="17" width="50" height="8" fill={colourOf(4)} />
          <text x="25" y="14" textAnchor="middle" fontSize="13" fontWeight="700" fill="var(--on-glass)">
            {say('ph')}
          </text>
        </>
      )
    case 'no number':
      return <Mark text="?" />
    case 'tolerance':
      return <Mark text="±" />
    case 'egg lot':
    case 'condition':
      return <Mark text="§" />
  }
}

function Reach({ celsius, shelf }: { celsius: number; shelf: boolean }) {
  const half = thicknessOf(celsius) * 13
  const wedges = shelf
    ? `M10 ${20 - half - 4}h22l6 -5v9h-28ZM10 ${20 + half}h28v9l-6 -5h-22Z`
    : `M15 ${20 - half}h20l-8 -8h-4ZM15 ${20 + half}h20l-8 8h-4Z`
  return (
    <>
      <rect y={20 - half} width="50" height={half * 2} fill={colourOf(celsius)} />
      <path d={wedges} fill="var(--on-glass)" />
    </>
  )
}

function Under({ celsius }: { celsius: number }) {
  const half = Math.max(1.5, thicknessOf(celsius) * 13)
  return (
    <>
      <rect y={20 - half} width="50" height={half * 2} fill={colourOf(celsius)} />
      <path d={`M15 3h20l-8 ${17 - half}h-4ZM15 37h20l-8 ${half - 17}h-4Z`} fill="var(--on-glass)" />
    </>
  )
}

function Rails({ celsius }: { celsius: number }) {
  const half = Math.max(4, thicknessOf(celsius) * 13)
  return (
    <>
      <rect y={20 - half} width="50" height={half * 2} fill={colourOf(celsius)} />
      <path
        d={`M2 ${20 - half - 4}h46M2 ${20 + half + 4}h46`}
        stroke="var(--on-glass)"
        strokeWidth="2.5"
        strokeDasharray="3 3"
      />
    </>
  )
}

function Mark({ text }: { text: string }) {
  return (
    <text
      x="25"
      y="28"
      textAnchor="middle"
      fontSize="22"
      fontWeight="700"
      fill="var(--on-glass)"
      fontFamily="var(--text)"
    >
      {text}
    </text>
  )
}
