import { TextDecoder, TextEncoder } from 'node:util'

/** What jsdom lacks of a browser, and a network that is away. */
class NoObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
Object.assign(globalThis, {
  TextEncoder,
  TextDecoder,
  fetch: () => Promise.reject(new TypeError('the network is away')),
  Request: class {
    constructor(readonly url: string) {}
    clone() {
      return this
    }
  },
  ResizeObserver: NoObserver,
  IntersectionObserver: NoObserver,
  EventSource: class {
    close() {}
    addEventListener() {}
  },
  matchMedia: (media: string) => ({
    media,
    matches: false,
    addListener() {},
    removeListener() {},
    addEventListener() {},
    removeEventListener() {},
  }),
})
if (typeof window !== 'undefined') Object.assign(window, { matchMedia: globalThis.matchMedia })
