import { describe, expect, it } from 'vitest';
import { plan } from '../../../../testing/by-steps';
import { sayWishPrice } from '../../words/say-route';
import { pricedWishes, priceOfWish, without, type RouteRequest } from '.';

const request = (wishes: NonNullable<RouteRequest['wishes']>): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: 'receiver-trs' }],
  destinations: [{ part: 'phone-usb-c', app: 'camera-app' }],
  wishes,
});

const priceOf = (asked: RouteRequest, wish: 'charge' | 'hear' | 'risk') =>
  priceOfWish(wish, plan(asked), plan(without(asked, wish)));

describe('what a wish costs', () => {
  it('charging costs what its answer costs more than the plain one', () => {
    const asked = request({ charge: true });
    const price = priceOf(asked, 'charge');
    const [with_, plain] = [plan(asked).routes[0]?.cost ?? NaN, plan(request({})).routes[0]?.cost ?? NaN];
    expect(price.more).toBe(with_ - plain);
    expect(price.more).toBeGreaterThan(0);
  });

  it('what the plain answer keeps anyway costs nothing', () => {
    const price = priceOf(request({ risk: 'proven' }), 'risk');
    expect(price.more).toBe(0);
    expect(sayWishPrice(price, String)).toMatch(/costs nothing more$/);
  });

  it('is about so much where a search was cut, and not known without an answer', () => {
    const whole = plan(request({}));
    expect(priceOfWish('hear', { ...whole, complete: false }, whole).about).toBe(true);
    const none = priceOfWish('hear', whole, { ...whole, routes: [] });
    expect(none.more).toBeUndefined();
    expect(sayWishPrice(none, String)).toMatch(/not known$/);
  });

  it('a budget and a second recorder are not asked about', () => {
    const also = { part: 'phone-ctia', app: 'camera-app' } as const;
    expect(pricedWishes(request({ charge: true, budget: 80, also }))).toEqual(['charge']);
  });
});
