/** What the server is told by its environment. The start command sets all of it. */
export interface Config {
  /** The role that serves: it owns nothing. */
  databaseUrl: string
  /** The role that migrates and owns; the same as the other where the database has a single role. */
  ownerUrl: string
  host: string
  port: number
  /** Paths of a PEM certificate and key; null serves plain HTTP. */
  tls: { cert: string; key: string } | null
  /** The built web application; null serves the API alone. */
  webRoot: string | null
  logLevel: string
}

/** Reads the environment. Throws an Error that names the missing variable. */
export function configFrom(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env.DATABASE_URL
  if (!databaseUrl) throw new Error('DATABASE_URL is not set: the address of the PostgreSQL database, postgresql://…')
  const { LT_CERT: cert, LT_KEY: key } = env
  return {
    databaseUrl,
    ownerUrl: env.DATABASE_OWNER_URL || databaseUrl,
    host: env.LT_HOST || '127.0.0.1',
    port: Number(env.LT_PORT || 4310),
    tls: cert && key ? { cert, key } : null,
    webRoot: env.LT_WEB_ROOT || null,
    logLevel: env.LT_LOG_LEVEL || 'info',
  }
}
