import fc from "fast-check";
import { anySpring } from "../testing/motions.js";
import { bezierCurve, type BezierPoints } from "./bezier.js";
import { type Spring, settleTime, springFor, springMotion, springOvershoot } from "./spring.js";

/** The same curve by halving alone: slow, and surely right. */
const halvedBezier = ([x1, y1, x2, y2]: BezierPoints, share: number): number => {
  const at = (p1: number, p2: number, u: number) => 3 * p1 * u * (1 - u) ** 2 + 3 * p2 * u * u * (1 - u) + u ** 3;
  let [low, high] = [0, 1];
  for (let i = 0; i < 80; i += 1) {
    const u = (low + high) / 2;
    if (at(x1, x2, u) < share) low = u;
    else high = u;
  }
  return at(y1, y2, (low + high) / 2);
};

/** The same spring by steps of Runge and Kutta, fourth order. */
const steppedSpring = ({ mass, stiffness, damping, velocity = 0 }: Spring, seconds: number): number => {
  const count = Math.max(1, Math.ceil(seconds / 0.0002));
  const h = seconds / count;
  const force = (off: number, speed: number) => (-stiffness * off - damping * speed) / mass;
  let [off, speed] = [-1, velocity];
  for (let i = 0; i < count; i += 1) {
    const [v1, a1] = [speed, force(off, speed)];
    const [v2, a2] = [speed + (h / 2) * a1, force(off + (h / 2) * v1, speed + (h / 2) * a1)];
    const [v3, a3] = [speed + (h / 2) * a2, force(off + (h / 2) * v2, speed + (h / 2) * a2)];
    const [v4, a4] = [speed + h * a3, force(off + h * v3, speed + h * a3)];
    off += (h / 6) * (v1 + 2 * v2 + 2 * v3 + v4);
    speed += (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
  }
  return 1 + off;
};

const inside = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });

describe("a curve of Bézier", () => {
  test("is where halving finds it", () => {
    // a tangent near the upright is left aside: there the last digit of the time alone moves the value by more
    const points = fc.tuple(inside(0.01, 1), inside(-1, 2), inside(0, 0.99), inside(-1, 2));
    fc.assert(
      fc.property(points, inside(0, 1), (given, share) => {
        expect(Math.abs(bezierCurve(given).at(share) - halvedBezier(given, share))).toBeLessThan(1e-9);
      }),
      { numRuns: 2000 },
    );
  });
  test("begins at nothing, ends at one, and stands still outside its time", () => {
    const curve = bezierCurve([1, 0, 0, 1]);
    expect([-1, 0, 1, 2].map((share) => curve.at(share))).toEqual([0, 0, 1, 1]);
    expect(curve.at(0.5)).toBeCloseTo(0.5, 12);
    expect(curve.speed(2)).toBe(0);
  });
  test("has a place and a speed at every share, upright and level tangents too", () => {
    const end = fc.constantFrom(0, 1, 0.3, 0.999999, 1e-9);
    fc.assert(
      fc.property(fc.tuple(end, inside(-1, 2), end, inside(-1, 2)), fc.oneof(inside(0, 1), end), (given, share) => {
        const curve = bezierCurve(given);
        expect(Number.isFinite(curve.at(share)) && Number.isFinite(curve.speed(share))).toBe(true);
      }),
      { numRuns: 2000 },
    );
  });
  test("goes as fast as its differences say", () => {
    const curve = bezierCurve([0.3, 0.1, 0.4, 1.2]);
    for (const share of [0.1, 0.35, 0.8])
      expect(curve.speed(share)).toBeCloseTo((curve.at(share + 1e-6) - curve.at(share - 1e-6)) / 2e-6, 5);
  });
});

describe("a spring", () => {
  test("is where small steps bring it, whatever its damping and the speed it begins with", () => {
    fc.assert(
      fc.property(anySpring(), inside(0, 0.6), (spring, seconds) => {
        const at = 1 + springMotion(spring, -1, spring.velocity ?? 0)(seconds).off;
        expect(Math.abs(at - steppedSpring(spring, seconds))).toBeLessThan(1e-6);
      }),
      { numRuns: 150 },
    );
  });
  test("at its critical damping lies between those of a little more and a little less", () => {
    const at = (damping: number) => springMotion({ mass: 1, stiffness: 100, damping }, -1, 3)(0.17).off;
    const [less, critical, more] = [at(19.999), at(20), at(20.001)];
    expect(Math.abs(critical - (less + more) / 2)).toBeLessThan(1e-8);
  });
  test("has settled from its settle time on, and not just before", () => {
    fc.assert(
      fc.property(anySpring(), (spring) => {
        const settled = settleTime(spring);
        const off = (t: number) => Math.abs(springMotion(spring, -1, spring.velocity ?? 0)(t).off);
        for (let i = 0; i <= 400; i += 1) expect(off(settled * (1 + i / 200))).toBeLessThanOrEqual(0.001 + 1e-9);
        expect(off(settled * (1 - 1e-6))).toBeGreaterThan(0.001 - 1e-6);
      }),
    );
  });
  test("that is not damped never settles", () => {
    expect(settleTime({ mass: 1, stiffness: 100, damping: 0 })).toBe(Infinity);
  });
  test("goes beyond its end as far as the highest of many looks", () => {
    fc.assert(
      fc.property(anySpring(), (spring) => {
        const motion = springMotion(spring, -1, spring.velocity ?? 0);
        const settled = settleTime(spring);
        // a spring that goes beyond by less than a thousandth does so once it counts as settled
        const looks = Array.from({ length: 4000 }, (_, i) => motion((3 * settled * i) / 4000).off);
        expect(springOvershoot(spring)).toBeCloseTo(Math.max(0, ...looks), 2);
        expect(springOvershoot(spring)).toBeGreaterThanOrEqual(Math.max(0, ...looks) - 1e-9);
      }),
    );
  });
  test("that is wanted to settle in 400 ms and go 4 % beyond does so", () => {
    const spring = springFor({ settle: 400, overshoot: 0.04 });
    expect(settleTime(spring) * 1000).toBeCloseTo(400, 6);
    expect(springOvershoot(spring)).toBeCloseTo(0.04, 9);
  });
  test("is found for every wish", () => {
    fc.assert(
      fc.property(inside(60, 3000), inside(0, 0.6), inside(0.2, 5), (settle, overshoot, mass) => {
        const spring = springFor({ settle, overshoot }, mass);
        expect(settleTime(spring) * 1000).toBeCloseTo(settle, 4);
        expect(springOvershoot(spring)).toBeCloseTo(overshoot, 6);
        expect(spring.mass).toBe(mass);
      }),
    );
  });
});
