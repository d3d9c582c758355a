import ButtonBase, { type ButtonBaseProps } from '@mui/material/ButtonBase'

type Look = 'plain' | 'primary' | 'outlined' | 'quiet' | 'shut'

/** A key: at least 56 by 56, with a lip that goes when it is pressed. */
export function Key({ look = 'plain', className = '', ...rest }: ButtonBaseProps & { look?: Look }) {
  return <ButtonBase className={`key ${look} ${className}`} focusVisibleClassName="focused-by-key" {...rest} />
}
