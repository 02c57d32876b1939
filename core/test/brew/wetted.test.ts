import { expect } from 'chai';
import fc from 'fast-check';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { wettingCourse } from '../../src/brew/wetted.ts';
import { CONSTANTS } from '../../src/constants.ts';
import { expectNear } from '../near.ts';

const HOUR = 3600;
const counter = () => constantTemperature([{ durationS: 24 * HOUR, tempC: 22 }]);
const stirs = fc.array(fc.integer({ min: 0, max: 20 * HOUR }), { maxLength: 3 });
const moments = fc.integer({ min: 0, max: 24 * HOUR });

describe('wettingCourse', () => {
  it('wets what an exponential and its stirs leave dry (hand formula)', () => {
    fc.assert(
      fc.property(stirs, moments, (agitationS, timeS) => {
        const wet = wettingCourse(counter(), agitationS)(timeS).shares.reduce((a, b) => a + b, 0);
        const done = agitationS.filter((at) => at <= timeS).length;
        const left = (1 - CONSTANTS.agitationWetsFrac.value) ** done;
        expectNear(wet, 1 - left * Math.exp(-timeS / CONSTANTS.wettingTimeS.value), 1e-7);
      }),
    );
  });

  it('says the same of a steep, whatever was asked of it before', () => {
    const shared = counter();
    fc.assert(
      fc.property(stirs, moments, moments, (agitationS, timeS, before) => {
        wettingCourse(shared, agitationS)(before);
        expect(wettingCourse(shared, agitationS)(timeS)).to.deep.equal(
          wettingCourse(counter(), agitationS)(timeS),
        );
      }),
    );
  });
});
