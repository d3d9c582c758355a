import type { How } from './CheckedAgainst'
import { instrumentCheckMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'

const say = speaks(instrumentCheckMessages)

/** What it stands in, drawn, with three words on how: a proper slush, a rolling boil, or two tips side by side. */
export function SlushPicture({ how }: { how: How }) {
  const told = {
    ice: [
      [say('iceToRim'), say('waterToIce')],
      [say('tipMiddle'), say('tipDeep')],
      [say('iceToBase'), say('noClearWater')],
    ],
    boiling: [
      [say('rollingBoil'), say('deepPot')],
      [say('tipOffBase'), say('tipDeep')],
      [say('tipMiddle'), say('steamBurns')],
    ],
    instrument: [
      [say('sideBySide'), say('sameWater')],
      [say('tipMiddle'), say('tipDeep')],
      [say('bothStill'), say('sameWater')],
    ],
  }[how]
  return (
    <svg viewBox="0 0 480 260" role="img" aria-label={say('pictureOf')} style={{ width: '100%', height: '100%' }}>
      <path d="M70 36 L92 236 H190 L212 36" fill="none" stroke="var(--on-glass)" strokeWidth="4" />
      <path d="M73 52 L91 232 H191 L209 52 Z" fill={colourOf(how === 'boiling' ? 72 : 0)} opacity="0.55" />
      <clipPath id="glass">
        <path d="M73 48 L91 233 H191 L209 48 Z" />
      </clipPath>
      <g clipPath="url(#glass)">{how === 'boiling' ? <Bubbles /> : <Ice />}</g>
      <Tip x={141} />
      {how === 'instrument' && <Tip x={160} />}
      {told.map(([strong, small], i) => {
        const y = 56 + i * 76
        return (
          <g key={strong}>
            <line x1={[196, 148, 186][i]} x2="252" y1={y - 6} y2={y - 6} stroke="var(--on-glass)" strokeWidth="1.500" />
            <text x="258" y={y} className="picture-word">
              {strong}
            </text>
            <text x="258" y={y + 21} className="picture-small">
              {small}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

function Tip({ x }: { x: number }) {
  return (
    <g fill="var(--on-glass)" stroke="var(--glass)" strokeWidth="1.500">
      <rect x={x - 14} y="4" width="28" height="18" rx="2" />
      <path d={`M${x - 4} 22h8v120l-4 8l-4 -8Z`} />
    </g>
  )
}

/** Lumps of ice from the base to the rim, the same each time. */
function Ice() {
  const lumps = Array.from({ length: 12 }, (_, row) =>
    Array.from({ length: 9 }, (_each, column) => {
      const inset = 76 + row * 1.4
      const x = inset + column * ((214 - 2 * (inset - 70) - 68) / 9) + ((row * 7 + column * 5) % 6)
      const y = 56 + row * 14.6 + ((row * 3 + column * 11) % 5)
      const size = 5 + ((row * 5 + column * 3) % 4)
      return `M${x} ${y}l${size} ${-size / 2}l${size} ${size}l${-size / 2} ${size}l${-size} 0Z`
    }).join(''),
  ).join('')
  return <path d={lumps} fill={colourOf(0)} stroke="var(--glass)" strokeWidth="1.200" />
}

function Bubbles() {
  const bubbles = [
    [100, 70, 6],
    [180, 66, 7],
    [120, 110, 5],
    [168, 120, 6],
    [108, 160, 4],
    [176, 178, 4],
    [130, 200, 3],
    [160, 214, 3],
    [150, 60, 8],
  ]
  return (
    <g fill="none" stroke="var(--on-glass)" strokeWidth="2">
      {bubbles.map(([x, y, r]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={r} />
      ))}
    </g>
  )
}
