import type { Components } from '@mui/material/styles'

/** What drops down: a list on enamel with rows for a thumb. */
export const choices: Components = {
  MuiSelect: { styleOverrides: { select: { minHeight: 0, paddingRight: 40 }, icon: { color: 'var(--ink)' } } },
  MuiMenu: { styleOverrides: { list: { padding: 0 } } },
  MuiMenuItem: {
    styleOverrides: {
      root: {
        minHeight: 56,
        whiteSpace: 'normal',
        font: '500 18px/1.25 var(--text)',
        borderTop: '1px solid var(--hair)',
        '&:first-of-type': { borderTop: 0 },
        '&:hover, &.Mui-focusVisible': { background: 'var(--milk)' },
        '&.Mui-selected, &.Mui-selected:hover, &.Mui-selected.Mui-focusVisible': {
          background: 'var(--ink)',
          color: 'var(--on-ink)',
        },
      },
    },
  },
  MuiAutocomplete: {
    styleOverrides: {
      // As high as every field, with room for the arrow.
      root: { '& .MuiInputBase-root.MuiOutlinedInput-root': { padding: '0 48px 0 7px' } },
      input: { minHeight: 48, boxSizing: 'border-box' },
      popupIndicator: { width: 44, height: 44 },
      clearIndicator: { width: 44, height: 44 },
      paper: { border: '3px solid var(--ink)' },
      listbox: { padding: 0 },
      option: { minHeight: 56, font: '500 18px/1.25 var(--text)', borderTop: '1px solid var(--hair)' },
    },
  },
  MuiTabs: { styleOverrides: { indicator: { display: 'none' } } },
}
