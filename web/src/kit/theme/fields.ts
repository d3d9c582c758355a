import type { Components } from '@mui/material/styles'
import type {} from '@mui/x-date-pickers/themeAugmentation'

/** Fields: the name above, a wide rim, room for a thumb. */
export const fields: Components = {
  MuiFormControl: { styleOverrides: { root: { minWidth: 0 } } },
  MuiFormLabel: {
    styleOverrides: {
      root: {
        color: 'var(--ink)',
        font: '700 17px/1.2 var(--title)',
        marginBottom: 6,
        '&.Mui-focused, &.Mui-disabled, &.Mui-error': { color: 'var(--ink)' },
      },
    },
  },
  // The name of a picker: it stands above, as every other.
  MuiInputLabel: {
    styleOverrides: {
      root: {
        position: 'static',
        transform: 'none',
        maxWidth: 'none',
        whiteSpace: 'normal',
        pointerEvents: 'auto',
        '&.MuiInputLabel-shrink': { transform: 'none', maxWidth: 'none' },
      },
    },
  },
  MuiFormHelperText: {
    styleOverrides: {
      root: {
        margin: '4px 0 0',
        color: 'var(--ink2)',
        font: '500 16px/1.3 var(--text)',
        '&.Mui-error': { color: 'var(--ink)', fontWeight: 700 },
      },
    },
  },
  MuiInputBase: {
    styleOverrides: { root: { font: '500 18px/1.35 var(--text)', fontFeatureSettings: "'tnum', 'zero'" } },
  },
  MuiOutlinedInput: {
    defaultProps: { notched: false },
    styleOverrides: {
      root: {
        background: 'var(--milk)',
        color: 'var(--ink)',
        minHeight: 56,
        borderRadius: 11,
        '&:hover .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--rim)' },
        '&.Mui-focused .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--ink)', borderWidth: 3 },
        '&.Mui-error .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--ink)', borderStyle: 'dashed' },
      },
      input: { padding: '10px 12px', height: 'auto' },
      multiline: { padding: 0 },
      notchedOutline: { border: '3px solid var(--rim)', top: 0, '& legend': { display: 'none' } },
    },
  },
  MuiPickersOutlinedInput: {
    styleOverrides: {
      root: { background: 'var(--milk)', minHeight: 56, borderRadius: 11, padding: '0 12px', color: 'var(--ink)' },
      sectionsContainer: { padding: '10px 0', font: '500 18px/1.35 var(--text)' },
      notchedOutline: { border: '3px solid var(--rim)', top: 0, '& legend': { display: 'none' } },
    },
  },
  MuiInputAdornment: {
    styleOverrides: { root: { color: 'var(--ink2)', '& p': { font: '600 18px/1 var(--text)', color: 'inherit' } } },
  },
  MuiCheckbox: {
    styleOverrides: {
      root: { width: 56, height: 56, color: 'var(--rim)', '&.Mui-checked': { color: 'var(--ink)' } },
    },
  },
  MuiFormControlLabel: { styleOverrides: { label: { font: '500 17px/1.3 var(--text)' } } },
}
