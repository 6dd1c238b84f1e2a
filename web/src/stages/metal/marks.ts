/** Width that a mark begins with before it is measured, mm. */
export const usualMarkMm = 10
