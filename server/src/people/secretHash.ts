import { Algorithm, hash } from '@node-rs/argon2'

/** argon2id with the memory and time that its authors' guidance gives for interactive use. */
const COST = { algorithm: 2 satisfies Algorithm.Argon2id, memoryCost: 19_456, timeCost: 2, parallelism: 1 }

/** A PIN or a password as it is kept. */
export function hashSecret(secret: string): Promise<string> {
  return hash(secret, COST)
}
