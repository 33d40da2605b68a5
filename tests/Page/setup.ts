import { configure } from '@testing-library/react';

// A busy machine takes longer than the library's one second to draw what was asked for; nothing here is timed.
configure({ asyncUtilTimeout: 12_000 });

// What is asked of the system's settings: nothing is set.
Object.defineProperty(window, 'matchMedia', { value: (media: string) => ({ matches: false, media }), writable: true });

// There is nothing to scroll where nothing is laid out.
Element.prototype.scrollIntoView = () => undefined;
