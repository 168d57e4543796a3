// The match as a question of logic, for a comparison: a general SAT solver (logic-solver) on the same work.
import Logic from 'logic-solver';

const every = (size) => Array.from({ length: size }, (_, at) => at);

/** Whether a part does what is required, contiguous, in either direction, no junction added: one terminal for each wire. */
export function bySat({ pattern, terminals }, part) {
  const [wires, places] = [terminals.length, part[0]?.length ?? 0];
  const wanted = pattern.length;
  if (wires > places || wanted > part.length) return false;
  for (let start = 0; start + wanted <= part.length; start += 1)
    for (const back of wanted > 1 ? [false, true] : [false]) {
      const at = every(wanted).map((step) => start + (back ? wanted - 1 - step : step));
      const solver = new Logic.Solver();
      const takes = (place, wire) => `t${place}w${wire}`;
      for (const place of every(places))
        solver.require(Logic.atMostOne(...every(wires).map((wire) => takes(place, wire))));
      for (const wire of every(wires))
        solver.require(Logic.exactlyOne(...every(places).map((place) => takes(place, wire))));
      at.forEach((position, row) => {
        const [nets, old] = [part[position], pattern[row]];
        for (const a of every(wires))
          for (const b of every(wires).slice(a + 1)) {
            const joined = old[terminals[a]] === old[terminals[b]];
            for (const one of every(places))
              for (const other of every(places))
                if (one !== other && (nets[one] === nets[other]) !== joined)
                  solver.require(Logic.or(Logic.not(takes(one, a)), Logic.not(takes(other, b))));
          }
      });
      if (solver.solve()) return true;
    }
  return false;
}
