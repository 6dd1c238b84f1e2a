const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()

/** The look of the component library, from the same tokens as everything else. */
export const theme = {
  token: {
    colorPrimary: token('rust'),
    // The library's own is lighter: white on it is hard to read.
    colorPrimaryHover: token('rust-deep'),
    colorInfo: token('teal'),
    colorLink: token('teal'),
    colorError: token('stop'),
    colorWarning: token('amber'),
    colorSuccess: token('teal'),
    colorText: token('ink'),
    colorTextSecondary: token('soft'),
    colorTextPlaceholder: token('soft'),
    colorBorder: token('edge'),
    colorBorderSecondary: token('rule'),
    colorBgElevated: token('paper'),
    colorBgContainer: token('white'),
    borderRadius: 4,
    fontFamily: "'Source Sans 3', sans-serif",
    fontSize: 14,
    controlHeight: 36,
    motion: !matchMedia('(prefers-reduced-motion: reduce)').matches,
  },
}
