import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { boardMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'

const say = speaks(boardMessages)

/**
 * Asks before a value that was begun and not logged is left behind: by a link, or by closing the page.
 * @param begun as it stands on the board; null: nothing is begun
 * @param onLog logs it; null where a tenth is missing: nobody makes one up
 */
export function HalfTyped({
  begun,
  onLog,
  onDrop,
}: {
  begun: string | null
  onLog: (() => void) | null
  onDrop: () => void
}) {
  const navigate = useNavigate()
  const [to, setTo] = useState<string | null>(null)
  useEffect(() => {
    if (begun === null) return
    const left = (event: MouseEvent) => {
      const link = event.target instanceof Element ? event.target.closest('a[href]') : null
      if (!(link instanceof HTMLAnchorElement) || link.target !== '' || link.origin !== location.origin) return
      event.preventDefault()
      event.stopPropagation()
      setTo(link.pathname + link.search + link.hash)
    }
    const closed = (event: BeforeUnloadEvent) => event.preventDefault()
    document.addEventListener('click', left, true)
    window.addEventListener('beforeunload', closed)
    return () => {
      document.removeEventListener('click', left, true)
      window.removeEventListener('beforeunload', closed)
    }
  }, [begun])
  if (to === null || begun === null) return null
  const go = (first: () => void) => {
    first()
    setTo(null)
    void navigate(to)
  }
  return (
    <Sheet open onClose={() => setTo(null)} title={say('begunNotLogged', { begun })}>
      <KeyRow>
        {onLog && (
          <Key look="primary" onClick={() => go(onLog)}>
            {say('logAndGo', { begun })}
          </Key>
        )}
        <Key look="outlined" onClick={() => go(onDrop)}>
          {say('dropAndGo')}
        </Key>
      </KeyRow>
    </Sheet>
  )
}
