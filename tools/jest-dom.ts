import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';
import { TextDecoder, TextEncoder } from 'node:util';
import * as React from 'react';

// Whether something is hidden is asked of every element up to the root, by styles that jsdom works out anew: what is hidden is told apart by the browser's own tests.
// What is waited for is waited for as long as a test may take: how soon it comes is the machine's business.
configure({ defaultHidden: true, asyncUtilTimeout: 30_000 });

// React's development build takes a stack trace for every element it makes, up to a limit a second: as if that limit were reached.
const internals = (React as unknown as Record<string, object>)
  .__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE!;
Object.defineProperty(internals, 'recentlyCreatedOwnerStacks', { get: () => Infinity, set: () => undefined });

// A name is asked of styles too, and jsdom matches every rule of the page against every element for it: no name of ours stands in a style.
const NO_STYLE = document.createElement('i').style;
const ofPage = window.getComputedStyle.bind(window);
window.getComputedStyle = (element, pseudo) =>
  pseudo ? NO_STYLE : 'style' in element ? (element as HTMLElement).style : ofPage(element);

/** jsdom lays nothing out: every element is as large as a phone, and says so once. */
const PHONE_PX = 390;
const PHONE_TALL_PX = 844;

class Observer {
  constructor(private readonly seen: (entries: { target: Element }[]) => void) {}
  observe(target: Element) {
    setTimeout(() => this.seen([{ target }]), 0);
  }
  unobserve() {}
  disconnect() {}
}

Object.assign(window, { ResizeObserver: Observer });
for (const [name, px] of [
  ['offsetWidth', PHONE_PX],
  ['clientWidth', PHONE_PX],
  ['offsetHeight', PHONE_TALL_PX],
  ['clientHeight', PHONE_TALL_PX],
] as const)
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => px });

/** jsdom has no pointers: a mouse with a number. */
class Pointer extends MouseEvent {
  readonly pointerId: number;
  constructor(type: string, init: PointerEventInit = {}) {
    super(type, init);
    this.pointerId = init.pointerId ?? 1;
  }
}

Object.assign(window, { PointerEvent: window.PointerEvent ?? Pointer });

/** Nothing comes near the screen by itself: pictures of long pages stay undrawn. */
class NothingInView {
  observe() {}
  disconnect() {}
  unobserve() {}
}
globalThis.IntersectionObserver ??= NothingInView as unknown as typeof IntersectionObserver;

// jsdom hides Node's own.
globalThis.structuredClone ??= ((value: unknown) =>
  JSON.parse(JSON.stringify(value)) as unknown) as typeof structuredClone;
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder as typeof globalThis.TextDecoder;
