import { expect } from 'chai';
import { openedCautions, type OpenedAt } from '../../src/pantry/openedCautions.ts';
import { INGREDIENTS, type Ingredient } from '../../src/pantry/ingredients.ts';

const oat = { ...INGREDIENTS['oat-drink'], openedDays: 5 };
const tide = { today: '2026-06-13', zone: 'Europe/Lisbon' };
const codes = (openedAt: OpenedAt, poured: Ingredient[] = [oat]) =>
  openedCautions({ poured, openedAt, ...tide }).map(({ code }) => code);

describe('openedCautions', () => {
  it('says nothing of what is not open, or open and good on its last day', () => {
    expect(codes({})).to.deep.equal([]);
    expect(codes({ 'oat-drink': '2026-06-09T08:00:00Z' })).to.deep.equal([]);
  });

  it('names what is past, since when, and what to do', () => {
    const openedAt = { 'oat-drink': '2026-06-08T08:00:00Z' };
    const [caution] = openedCautions({ poured: [oat], openedAt, ...tide });
    expect(caution!.severity).to.equal('warn');
    expect(caution!.text).to.match(/opened Mon,? 8 Jun and was for use until Fri,? 12 Jun/);
    expect(caution!.text).to.contain('Open a new one');
  });

  it('says to make again what the house makes', () => {
    const syrup = { ...oat, id: 'rosemary-syrup', name: 'Rosemary syrup', mark: 'ours' as const };
    const openedAt = { 'rosemary-syrup': '2026-06-01T08:00:00Z' };
    const [caution] = openedCautions({ poured: [syrup], openedAt, ...tide });
    expect(caution!.text).to.contain('was made').and.to.contain('Make it again');
  });

  it('says nothing of what keeps', () => {
    const keeps = { ...oat, openedDays: null };
    expect(codes({ 'oat-drink': '2020-01-01T08:00:00Z' }, [keeps])).to.deep.equal([]);
  });
});
