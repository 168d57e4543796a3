import type { ActuatorForm, PlainLayout } from '@which-way/core/switch';

export const LAYOUT_WORDS: Record<PlainLayout, string> = {
  'two-rows': 'Two rows',
  'one-row': 'One row',
  circle: 'Circle',
  list: 'Plain list',
  wires: 'Wires: pigtails, potted',
};

export const FORM_WORDS: Record<ActuatorForm, string> = {
  rotary: 'Knob',
  unsaid: 'Not said yet',
  'pot-switch': 'Potentiometer with switch',
  key: 'Key',
  lever: 'Lever',
  toggle: 'Toggle',
  rocker: 'Rocker',
  slide: 'Slide',
  trigger: 'Trigger',
  push: 'Push, springs back',
  'push-push': 'Push, push again',
  'push-pull': 'Push and pull',
  pull: 'Pull, springs back',
  'key-bank': 'Bank of keys',
};
