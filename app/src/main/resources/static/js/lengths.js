// Lengths as the trade reads them: feet, inches and sixteenths, or metres; the other system in brackets.
function feetAndInches(metres) {
  const total = Math.round((Math.abs(metres) / 0.0254) * 16);
  let rest = total % 192;
  const feet = (total - rest) / 192;
  const inches = Math.floor(rest / 16);
  rest %= 16;
  let below = 16;
  while (rest && rest % 2 === 0) {
    rest /= 2;
    below /= 2;
  }
  const part = rest ? `${inches ? inches + " " : ""}${rest}/${below}` : `${inches}`;
  return `${metres < 0 && total ? "-" : ""}${feet}' ${part}"`;
}

function metric(metres) {
  return `${Number(metres.toFixed(3))} m`;
}

/** @param unit metres of the job's roof unit: 1, or 0.3048 for feet */
export function showLength(metres, unit) {
  return unit === 1 ? `${metric(metres)} [${feetAndInches(metres)}]` : `${feetAndInches(metres)} [${metric(metres)}]`;
}

/** A text that the server reads back to the same value. */
export function typedLength(metres, unit) {
  return `${Number((metres / unit).toFixed(4))} ${unit === 1 ? "m" : "ft"}`;
}
