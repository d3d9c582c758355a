/** Where now is, over the lanes: a flag that points down. @param x of now, px */
export function NowFlag({ x, word }: { x: number; word: string }) {
  return (
    <>
      <path d={`M${x - 26} 2h52v20l-26 6l-26 -6Z`} fill="var(--ink)" />
      <text x={x} y="18" textAnchor="middle" style={{ fill: 'var(--on-ink)', fontWeight: 700 }}>
        {word}
      </text>
    </>
  )
}
