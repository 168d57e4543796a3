import { idProblems, placeProblems, simulatedSwitchProblems, titleProblems } from '@which-way/core/formats';
import type { Problem } from '@which-way/core/switch';
import { ValidateBy, ValidateIf } from 'class-validator';

/** Checks of the core that speak through class-validator, by the name of their rule: what a page may send is what a file may hold. */
export const CORE_RULES = {
  isOurId: idProblems,
  isTitle: titleProblems,
  isPlace: placeProblems,
  isSimulatedSwitch: simulatedSwitchProblems,
} satisfies Record<string, (value: unknown) => Problem[]>;

/** A rule without a sentence: what it says stands in `words`. */
const coreRule = (name: keyof typeof CORE_RULES) => (): PropertyDecorator =>
  ValidateBy({ name, validator: { validate: (value) => CORE_RULES[name](value).length === 0 } });

export const IsOurId = coreRule('isOurId');
export const IsTitle = coreRule('isTitle');
export const IsPlace = coreRule('isPlace');
export const IsSimulatedSwitch = coreRule('isSimulatedSwitch');

/** May be left out; null is not the same as left out. */
export const IfGiven = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);
