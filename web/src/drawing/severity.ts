/** The shapes that say how bad a finding is, about their middle, px. */
export const severityShapes = {
  severe: 'M-9-9H9V9H-9Z',
  moderate: 'M0-11L11 9H-11Z',
  minor: 'M0-9A9 9 0 1 1 0 9A9 9 0 1 1 0-9Z',
} as const
