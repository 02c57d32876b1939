import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useCalls } from '../../src/day/calls.ts';
import { installBrowser } from '../browser.ts';

describe('useCalls', () => {
  let tones = 0;
  let shown: { title: string; body: string }[] = [];
  let answer = 'granted';
  const define = (name: string, value: unknown): void => {
    Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
  };
  beforeEach(() => {
    installBrowser();
    [tones, shown, answer] = [0, [], 'granted'];
    const node = { connect: () => node, start: () => (tones += 1), stop: () => undefined };
    const gain = { setValueAtTime: () => undefined, linearRampToValueAtTime: () => undefined };
    define('AudioContext', function AudioContext() {
      return { currentTime: 0, destination: {}, resume: () => Promise.resolve() };
    });
    define('OscillatorNode', function OscillatorNode() {
      return node;
    });
    define('GainNode', function GainNode() {
      return { gain, connect: () => undefined };
    });
    const Notification = Object.assign(
      function Notification(title: string, { body }: { body: string }) {
        shown.push({ title, body });
      },
      {
        requestPermission: () => Promise.resolve(answer),
        get permission() {
          return answer;
        },
      },
    );
    define('Notification', Notification);
    define('isSecureContext', true);
    setActivePinia(createPinia());
  });
  afterEach(() => {
    for (const name of [
      'AudioContext',
      'OscillatorNode',
      'GainNode',
      'Notification',
      'isSecureContext',
    ])
      Reflect.deleteProperty(globalThis, name);
  });

  it('is quiet until somebody switched it on, and sounds once as it is', () => {
    const calls = useCalls();
    calls.call('Strain, Tall jar');
    expect([tones, shown.length]).to.deep.equal([0, 0]);
    calls.setSound(true);
    expect(tones).to.equal(2);
    calls.call('Strain, Tall jar');
    expect(tones).to.equal(4);
    calls.setSound(false);
    calls.call('Strain, Tall jar');
    expect(tones).to.equal(4);
  });

  it('shows a notification where the browser was allowed to', async () => {
    const calls = useCalls();
    await calls.setNotification(true);
    expect([calls.notification, calls.refusal]).to.deep.equal([true, '']);
    calls.call('Strain, Tall jar');
    expect(shown).to.deep.equal([{ title: 'Ratio', body: 'Strain, Tall jar' }]);
    await calls.setNotification(false);
    calls.call('Strain, Tall jar');
    expect(shown).to.have.length(1);
  });

  it('says so where the browser does not allow it, or has none', async () => {
    answer = 'denied';
    const calls = useCalls();
    await calls.setNotification(true);
    expect(calls.notification).to.equal(false);
    expect(calls.refusal).to.contain('does not allow it');
    define('isSecureContext', false);
    setActivePinia(createPinia());
    expect(useCalls().canNotify).to.equal(false);
  });
});
