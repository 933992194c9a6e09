/** Maps a value to a place. */
export type Scale = (value: number) => number;

export function linear([d0, d1]: [number, number], [r0, r1]: [number, number]): Scale {
  return (v) => r0 + ((v - d0) / (d1 - d0)) * (r1 - r0);
}

export function logarithmic([d0, d1]: [number, number], [r0, r1]: [number, number]): Scale {
  const span = Math.log(d1 / d0);
  return (v) => r0 + (Math.log(v / d0) / span) * (r1 - r0);
}

/** Round numbers 1, 2, 5 × 10ⁿ within the domain of a logarithmic axis; fewer where there are many, others where few are. */
export function logTicks(low: number, high: number): number[] {
  const ticks: number[] = [];
  const wide = high / low > 100;
  for (let power = Math.floor(Math.log10(low)); power <= Math.ceil(Math.log10(high)); power++) {
    for (const step of wide ? [1] : [1, 2, 5]) {
      const tick = Number((step * 10 ** power).toPrecision(3));
      if (tick >= low && tick <= high) {
        ticks.push(tick);
      }
    }
  }
  return ticks.length < 2 ? linearTicks(low, high, 4).filter((tick) => tick >= low && tick <= high) : ticks;
}

/** About `wanted` round numbers within the domain of a linear axis. */
export function linearTicks(low: number, high: number, wanted = 5): number[] {
  const raw = (high - low) / wanted;
  const size = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((s) => s * size).find((s) => s >= raw) ?? raw;
  const ticks: number[] = [];
  for (let i = Math.ceil(low / step - 1e-9); i * step <= high + step * 1e-9; i++) {
    ticks.push(Number((i * step).toPrecision(12)));
  }
  return ticks;
}
