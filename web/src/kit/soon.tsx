import { useDeferredValue, type ComponentType } from 'react'

/**
 * The same part, drawn one step after what stands around it: a tap is answered first, and what follows from it stands there
 * right after, in pieces between which the screen goes on answering.
 */
export function soon<P extends object>(Part: ComponentType<P>): ComponentType<P> {
  return function Soon(props: P) {
    return <Part {...useDeferredValue(props)} />
  }
}
