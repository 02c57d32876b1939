import { expect } from 'chai';
import { effectScope } from 'vue';
import { useKeys } from '../../../src/ui/browser/useKeys.ts';
import { installBrowser } from '../../browser.ts';

describe('useKeys', () => {
  let heard: Map<string, (event: object) => void>;
  before(() => {
    installBrowser();
    heard = new Map();
    Object.assign(window, {
      addEventListener: (name: string, hears: (event: object) => void) => heard.set(name, hears),
      removeEventListener: (name: string) => heard.delete(name),
    });
  });
  function press(key: string, over: { shift?: boolean; within?: string } = {}): boolean {
    let isTaken = false;
    class Pressed {
      readonly key = key;
      readonly code = key;
      readonly repeat = false;
      readonly target = {
        closest: (selectors: string) =>
          over.within !== undefined && selectors.includes(over.within) ? {} : null,
      };
      getModifierState = (name: string): boolean => name === 'Shift' && over.shift === true;
      preventDefault = (): void => void (isTaken = true);
    }
    Object.assign(globalThis, { KeyboardEvent: Pressed });
    heard.get('keydown')?.(new Pressed());
    return isTaken;
  }

  it('does what a sign is for, with Shift or without: keyboards differ', () => {
    const done: string[] = [];
    const scope = effectScope();
    scope.run(() => useKeys({ '?': () => done.push('help'), n: () => done.push('new') }));
    expect(press('n')).to.equal(true);
    press('?', { shift: true });
    press('?');
    press('x');
    expect(done).to.deep.equal(['new', 'help', 'help']);
    scope.stop();
  });

  it('stays out of the way where somebody types, drags or answers', () => {
    const done: string[] = [];
    const scope = effectScope();
    scope.run(() => useKeys({ n: () => done.push('new') }));
    for (const within of ['input', 'textarea', 'slider', 'dialog']) press('n', { within });
    expect(done).to.deep.equal([]);
    scope.stop();
  });

  it('ends with its page', () => {
    const done: string[] = [];
    const scope = effectScope();
    scope.run(() => useKeys({ n: () => done.push('new') }));
    scope.stop();
    press('n');
    expect(done).to.deep.equal([]);
  });
});
