import { LESSON_TEXT } from '@which-way/words/screens/pages/map/panels/lesson';

/** The simulated switch of the first lesson is known by its name. */
export const LESSON_NAME = LESSON_TEXT.firstLesson;
