import type { Components } from '@mui/material/styles'
import { FORCED } from './keys'

/** What lies over the page or carries rows: enamel with an ink edge; no shadows, no rounded cards. */
export const surfaces: Components = {
  MuiPaper: {
    defaultProps: { elevation: 0 },
    styleOverrides: { root: { backgroundImage: 'none', background: 'var(--enamel)', color: 'var(--ink)' } },
  },
  MuiPopover: { styleOverrides: { paper: { border: '3px solid var(--ink)', borderRadius: 0 } } },
  MuiTooltip: {
    defaultProps: { arrow: false },
    styleOverrides: {
      tooltip: {
        background: 'var(--ink)',
        color: 'var(--on-ink)',
        borderRadius: 0,
        maxWidth: 360,
        padding: '8px 14px',
        font: '500 16px/1.35 var(--text)',
      },
    },
  },
  MuiTable: { styleOverrides: { root: { borderCollapse: 'collapse' } } },
  MuiTableCell: {
    styleOverrides: {
      root: {
        padding: '8px 12px 8px 0',
        borderBottom: '2px solid var(--hair)',
        color: 'inherit',
        font: '500 17px/1.25 var(--text)',
        textAlign: 'left',
        verticalAlign: 'top',
      },
      head: {
        verticalAlign: 'middle',
        color: 'var(--ink2)',
        font: '600 16px/1.2 var(--text)',
        background: 'var(--enamel)',
      },
      stickyHeader: { background: 'var(--enamel)' },
    },
  },
  MuiTableRow: {
    styleOverrides: {
      root: {
        '&.Mui-selected, &.Mui-selected:hover': { background: 'var(--milk)', boxShadow: '-6px 0 0 var(--ink)' },
        [FORCED]: { '&.Mui-selected': { outline: '3px solid Highlight' } },
      },
    },
  },
  MuiTableSortLabel: {
    styleOverrides: { root: { minHeight: 44, '&.Mui-active': { color: 'var(--ink)', fontWeight: 700 } } },
  },
  MuiLinearProgress: {
    styleOverrides: {
      root: { height: 8, background: 'var(--hair)', borderRadius: 0 },
      bar: {
        background: 'var(--ink)',
        borderRadius: 0,
        [FORCED]: { background: 'Highlight', forcedColorAdjust: 'none' },
      },
    },
  },
  MuiSnackbarContent: {
    styleOverrides: {
      root: {
        background: 'var(--ink)',
        color: 'var(--on-ink)',
        borderRadius: 0,
        boxShadow: 'none',
        font: '600 18px/1.25 var(--text)',
      },
    },
  },
}
