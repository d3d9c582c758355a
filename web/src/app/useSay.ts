import { useMemo } from 'react'
import { speaker, type Messages, type Values } from '@logged-thermal/wording'
import { useHand, useLine } from './kitchen'

/** Speaks the messages of one subject as the person in hand reads. */
export function useSay<M extends Messages>(messages: M): (key: keyof M & string, values?: Values) => string {
  const { locale } = useHand(useLine()).reader
  return useMemo(() => speaker(messages, locale), [messages, locale])
}
