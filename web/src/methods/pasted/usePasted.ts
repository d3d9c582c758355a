import { useEffect, useState } from 'react'
import type { MeasureSystem, PastedRecipe } from '@logged-thermal/core'
import type { RecipeAsked } from './recipe.worker'

/** Typing goes on so long before it is read again, ms. */
const PAUSE = 300

/** What a pasted text says, read by a worker; null while there is none, or it is still being read. */
export function usePasted(text: string, measures: MeasureSystem): { read: PastedRecipe; of: string } | null {
  const [found, setFound] = useState<{ read: PastedRecipe; of: string } | null>(null)
  const empty = text.trim() === ''
  useEffect(() => {
    if (empty) return
    let worker: Worker | null = null
    const timer = setTimeout(() => {
      worker = new Worker(new URL('./recipe.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<PastedRecipe>) => {
        setFound({ read: data, of: text })
        worker?.terminate()
      }
      worker.postMessage({ text, measures } satisfies RecipeAsked)
    }, PAUSE)
    return () => {
      clearTimeout(timer)
      worker?.terminate()
    }
  }, [text, measures, empty])
  return empty ? null : found
}
