import { restOf, springAnswersOf, type SpringAnswer } from '@which-way/core/log';
import { springSuggested, type Actuator, type Position } from '@which-way/core/switch';
import { SPRINGS_ASKED_TEXT } from '@which-way/words/screens/parts/springs/springs-asked';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useJobState, useSession } from '../../job/job-context.js';

/** So many places to spring back to are buttons; the nearest first. */
const MOST_BACK = 3;

const nameOf = ({ positions }: Actuator, position: Position): string =>
  position.name ?? `position ${positions.indexOf(position) + 1}`;

/** The first position of which nobody has said whether it springs back, asked; nothing where all is said. */
export function SpringsAsked() {
  const { structure, log } = useJobState((state) => state.map);
  const session = useSession();
  const answers = springAnswersOf(log);
  const open = structure.actuators.flatMap((actuator) =>
    actuator.positions
      .filter((position) => restOf(actuator, position, answers).rests === 'not-said')
      .map((position) => ({ actuator, position })),
  );
  const [asked] = open;
  if (!asked) return null;
  const { actuator, position } = asked;
  const say = (answer: Omit<SpringAnswer, 'position'>) =>
    session.emit({ kind: 'spring-answered', answer: { position: position.id, ...answer } });
  const others = othersOf(actuator, position);
  const [rest] = others;
  const likely = springSuggested(actuator, position) === 'yes';
  return (
    <Notice look="plain" title={SPRINGS_ASKED_TEXT.doesItSpringBack}>
      <p className="font-semibold">{SPRINGS_ASKED_TEXT.moveItThere(nameOf(actuator, position))}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {others.slice(0, MOST_BACK).map((other, at) => (
          <PlainButton
            key={other.id}
            look={likely && at === 0 ? 'strong' : 'plain'}
            onClick={() => say({ found: other.id })}
          >
            {SPRINGS_ASKED_TEXT.backTo(nameOf(actuator, other))}
          </PlainButton>
        ))}
        <PlainButton onClick={() => say({ found: null })}>{SPRINGS_ASKED_TEXT.itStays}</PlainButton>
        {likely && rest && (
          <PlainButton onClick={() => say({ found: null, meant: rest.id })}>
            {SPRINGS_ASKED_TEXT.staysButShouldNot}
          </PlainButton>
        )}
      </div>
      <p className="mt-2 text-small text-quiet">{SPRINGS_ASKED_TEXT.unsaidIsAQuestion}</p>
    </Notice>
  );
}

/** Where it may spring back to: the middle of three first, else the first position. */
function othersOf({ positions }: Actuator, position: Position): Position[] {
  const rest = positions.length === 3 ? positions[1] : positions[0];
  return positions
    .filter((other) => other !== position)
    .toSorted((one, other) => Number(other === rest) - Number(one === rest));
}
