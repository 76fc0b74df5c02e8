import '@testing-library/jest-dom';

/** jsdom lays nothing out: every element is as wide as a phone, and says so once. */
const PHONE_PX = 390;

class Observer {
  constructor(private readonly seen: (entries: { target: Element }[]) => void) {}
  observe(target: Element) {
    setTimeout(() => this.seen([{ target }]), 0);
  }
  unobserve() {}
  disconnect() {}
}

Object.assign(window, { ResizeObserver: Observer });
Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, get: () => PHONE_PX });

/** jsdom has no pointers: a mouse with a number. */
class Pointer extends MouseEvent {
  readonly pointerId: number;
  constructor(type: string, init: PointerEventInit = {}) {
    super(type, init);
    this.pointerId = init.pointerId ?? 1;
  }
}

Object.assign(window, { PointerEvent: window.PointerEvent ?? Pointer });

/** A busy machine is no failure: screens are long. */
jest.setTimeout(20_000);
