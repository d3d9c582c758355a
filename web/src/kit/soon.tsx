import { memo, useDeferredValue, type FunctionComponent } from 'react'

/**
 * The same part, drawn one step after what stands around it: a tap is answered first, and what follows from it stands there
 * right after, in pieces between which the screen goes on answering.
 */
export function soon<P extends object>(Part: FunctionComponent<P>): FunctionComponent<P> {
  // As it was it is not drawn a second time on the way.
  const Kept = memo(Part)
  return function Soon(props: P) {
    return <Kept {...useDeferredValue(props)} />
  }
}
