export const oneDecimal = (n: number) => n.toFixed(1);
/** Coefficients as the handbook prints them. */
export const fiveDecimals = (n: number) => n.toFixed(5);
/** 9.2·10⁻¹¹ */
export function scientific(n: number): string {
  const [digits, power] = n.toExponential(1).split("e");
  return `${digits}·10${[...String(Number(power))].map((each) => "⁻⁰¹²³⁴⁵⁶⁷⁸⁹"["-0123456789".indexOf(each)]).join("")}`;
}
export const degrees = (n: number) => `${Math.round(n)}°`.replace("-", "−");
