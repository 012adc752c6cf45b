/** Numbers that look drawn and are always the same for a seed (a linear congruence, Numerical Recipes' constants). */
export function drawn(seed: number): (below: number) => number {
  let state = (seed * 2_654_435_761) % 2 ** 32;
  const step = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32;
    return state / 2 ** 32;
  };
  for (let i = 0; i < 4; i++) step();
  return (below) => Math.floor(step() * below);
}
