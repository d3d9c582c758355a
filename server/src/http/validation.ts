import { ValidationPipe, type ValidationError } from '@nestjs/common'
import { Problem } from './problem'

/** Ordinary routes: the first field that is wrong, and its sentence. Unknown fields are refused, not dropped. */
export const validation = new ValidationPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => {
    const { path, sentence } = first(errors)
    return new Problem(400, 'bad field', sentence, path)
  },
})

function first(errors: ValidationError[], prefix = ''): { path: string; sentence: string } {
  const [error] = errors
  if (!error) return { path: prefix, sentence: 'This cannot be taken.' }
  const path = prefix ? `${prefix}.${error.property}` : error.property
  if (error.children?.length) return first(error.children, path)
  return { path, sentence: Object.values(error.constraints ?? {})[0] ?? 'This cannot be taken.' }
}
