/** Rules that are drawn as bars: how full the vehicle and its axles are. */
export const bars = ['load-total', 'load-front', 'load-rear'] as const
export const isBar = (rule: string) => (bars as readonly string[]).includes(rule)
