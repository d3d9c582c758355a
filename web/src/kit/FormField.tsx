import {
  useController,
  type Control,
  type FieldError,
  type FieldErrors,
  type FieldPath,
  type FieldValues,
  type Resolver,
} from 'react-hook-form'
import { Field } from './Field'

interface Props<Form extends FieldValues> extends Omit<
  Parameters<typeof Field>[0],
  'value' | 'onValue' | 'error' | 'onLeave'
> {
  control: Control<Form>
  name: FieldPath<Form>
}

/** A field of a form. What is wrong with it stands below it once the form was sent, and goes as it is mended. */
export function FormField<Form extends FieldValues>({ control, name, ...rest }: Props<Form>) {
  const { field, fieldState } = useController({ control, name })
  return (
    <Field
      {...rest}
      inputRef={field.ref}
      value={field.value}
      onValue={field.onChange}
      onLeave={field.onBlur}
      error={fieldState.error?.message ?? null}
    />
  )
}

/** What is wrong with a form, by field; a field that is not named is right. */
export type Problems<Form> = { [name in keyof Form & string]?: string | null }

/** Has a form judged as a whole, by core's parsers, before it is sent. The first wrong field is written into next. */
export function judgedBy<Form extends FieldValues>(problemsOf: (written: Form) => Problems<Form>): Resolver<Form> {
  return (written) => {
    const wrong = Object.entries(problemsOf(written)).flatMap(([name, message]): [string, FieldError][] =>
      typeof message === 'string' ? [[name, { type: 'core', message }]] : [],
    )
    if (wrong.length === 0) return { values: written, errors: {} }
    return { values: {}, errors: Object.fromEntries(wrong) as FieldErrors<Form> }
  }
}
