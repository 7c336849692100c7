export const oneDecimal = (n: number) => n.toFixed(1);
/** Coefficients as the handbook prints them. */
export const fiveDecimals = (n: number) => n.toFixed(5);
