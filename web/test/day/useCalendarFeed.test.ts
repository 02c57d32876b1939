import { expect } from 'chai';
import { useCalendarFeed } from '../../src/day/useCalendarFeed.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { useSession } from '../../src/sync/session.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('useCalendarFeed', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  async function open(role: 'leads' | 'brews', isRefused = false) {
    let key = 0;
    const made = await withApp({
      browser,
      path: '/bench/calendar',
      answers: ({ path, method }) => {
        if (!path.startsWith('/api/calendar')) return null;
        if (isRefused) return { status: 503, body: { detail: 'Not now.' } };
        if (method === 'POST') key += 1;
        const feeds = key === 0 ? [] : [`http://lido:4870/api/calendar/key-${key}.ics`];
        return { status: 200, body: { feeds, addresses: ['lido'] } };
      },
      use: () => {
        const session = useSession();
        session.session = {
          needsSignIn: true,
          name: 'Somebody',
          role,
          device: null,
          people: [],
          signInHere: false,
        };
        return { feed: useCalendarFeed(), notice: useNotice() };
      },
    });
    await settled();
    return made;
  }

  it('is given an address, and another one that ends the one before', async () => {
    const { feed, notice } = await open('leads');
    expect(feed.feeds.value).to.deep.equal([]);
    await feed.renew();
    expect(feed.feeds.value[0]).to.contain('key-1');
    expect(notice.notice!.text).to.equal('The calendar has an address now.');
    await feed.renew();
    expect(feed.feeds.value[0]).to.contain('key-2');
    expect(notice.notice!.text).to.contain('the one before answers no more');
  });

  it('is the lead’s alone, and says what the server says', async () => {
    const brewer = await open('brews');
    expect(brewer.feed.isLead).to.equal(false);
    expect(browser.asked.some(({ path }) => path === '/api/calendar')).to.equal(false);
    const { feed, notice } = await open('leads', true);
    expect(notice.notice!.text).to.equal('Not now.');
    await feed.renew();
    expect([feed.feeds.value, notice.notice!.text]).to.deep.equal([[], 'Not now.']);
  });
});
