import type { NextFunction, Request, RequestHandler, Response } from 'express'
import helmet from 'helmet'
import { clock } from '../clock/clock'

/**
 * What a browser may do with our pages: run our own files, and nothing of this machine but the screen.
 * @param strict tell browsers never to come without TLS again: not where a private root may be gone one day
 */
export function securityHeaders(tls: boolean, strict: boolean): RequestHandler[] {
  const policies = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        // The style library adds its rules at run time; scripts stay our own files alone.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'worker-src': ["'self'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    strictTransportSecurity: tls && strict,
    // Only a secure origin may be isolated; on plain HTTP the browser would complain about the header.
    crossOriginOpenerPolicy: tls,
    originAgentCluster: tls,
  })
  return [policies, permissions]
}

const WITHHELD = ['camera', 'microphone', 'geolocation', 'payment', 'usb', 'serial', 'hid', 'midi', 'display-capture']

function permissions(_: Request, response: Response, next: NextFunction): void {
  response.set('Permissions-Policy', WITHHELD.map((feature) => `${feature}=()`).join(', '))
  next()
}

/**
 * What every answer says: it is for who asked, and only now, unless its route says otherwise; and the kitchen's clock, ms,
 * which a tablet reads off it.
 */
export function asOfNow(_: Request, response: Response, next: NextFunction): void {
  response.set({ 'Cache-Control': 'no-store', 'Lt-Now': String(clock.now()) })
  next()
}
