import { clsx } from 'clsx'
import { useEffect, useRef } from 'react'
import { createPortal } from 'react-dom'
import { PAPERS, type Paper } from '@logged-thermal/wording'
import { drawnAs } from './labelHere'
import styles from './printedHere.module.css'

/**
 * Labels on paper by the browser's own printing, where no server is there to make a sheet of them: on the same places of the
 * same papers. It prints once it is drawn.
 */
export function PrintedHere({
  art,
  copies,
  paper,
  onDone,
}: {
  art: readonly string[]
  copies: number
  paper: Paper
  onDone: () => void
}) {
  const sheets = useRef<HTMLDivElement>(null)
  useEffect(() => {
    let ended = false
    const drawn = [...(sheets.current?.querySelectorAll('img') ?? [])].map((image) => image.decode())
    void Promise.allSettled(drawn).then(() => {
      if (ended) return
      window.print()
      onDone()
    })
    return () => {
      ended = true
    }
  }, [onDone])
  const { page, label, across, down } = PAPERS[paper]
  const left = (page.width - across * label.width) / 2
  const top = (page.height - down * label.height) / 2
  const all = Array.from({ length: copies }, () => art).flat()
  const pages = Array.from({ length: Math.ceil(all.length / (across * down)) }, (_, i) =>
    all.slice(i * across * down, (i + 1) * across * down),
  )
  return createPortal(
    <div className={styles.all} data-printed ref={sheets}>
      {pages.map((labels, i) => (
        <div
          key={i}
          className={clsx(styles.sheet, styles[paper])}
          style={{ width: `${page.width}mm`, height: `${page.height}mm` }}
        >
          {labels.map((svg, place) => (
            <img
              key={place}
              src={drawnAs(svg)}
              alt=""
              style={{
                left: `${left + (place % across) * label.width}mm`,
                top: `${top + Math.floor(place / across) * label.height}mm`,
                width: `${label.width}mm`,
                height: `${label.height}mm`,
              }}
            />
          ))}
        </div>
      ))}
    </div>,
    document.body,
  )
}
