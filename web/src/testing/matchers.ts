// What tests of the screens can say of an element besides that it is there: that it can be seen.
import '@testing-library/jest-dom/vitest';
