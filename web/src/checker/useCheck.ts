import { useEffect, useRef, useState } from 'react'
import CheckWorker from './check.worker?worker&inline'
import type { Checked } from './checked'

/** Checks a file at a time, beside the page. */
export function useCheck(): {
  checked: (Checked & { name: string }) | null
  check: (file: File) => void
  cancel: () => void
} {
  const worker = useRef<Worker | null>(null)
  const [checked, setChecked] = useState<(Checked & { name: string }) | null>(null)
  const stop = () => {
    worker.current?.terminate()
    worker.current = null
  }
  useEffect(() => stop, [])
  return {
    checked,
    check(file) {
      stop()
      const { name } = file
      setChecked({ state: 'reads', share: 0, name })
      const mine = new CheckWorker()
      worker.current = mine
      mine.onmessage = ({ data }: MessageEvent<Checked>) => setChecked({ ...data, name })
      mine.onerror = ({ message }) => setChecked({ state: 'unreadable', why: message, name })
      mine.postMessage(file)
    },
    cancel() {
      stop()
      setChecked((before) => before && { state: 'cancelled', name: before.name })
    },
  }
}
