import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, type Ref } from 'vue';
import type { Sheet } from '@/types/generated/responses';

const SIDE = 11;

/** Geometry of a place's walls, runs and legs on a sheet of that width, at true scale. */
export function useTape(sheet: () => Sheet, tall: () => number, WIDTH: Ref<number>) {
    const HEIGHT = computed(() => Math.max(300, Math.min(tall(), WIDTH.value)));
    const MARGIN = computed(() => (WIDTH.value < 500 ? 56 : 78));

    const corners = computed(() => sheet().corners as [number, number][]);
    const extent = computed(() => {
        const x = corners.value.map((c) => c[0]);
        const y = corners.value.map((c) => c[1]);
        return { x0: Math.min(...x), x1: Math.max(...x), y0: Math.min(...y), y1: Math.max(...y) };
    });
    /** Pixels of one metre, the same both ways: the sheet is at true scale. */
    const metre = computed(() => {
        const { x0, x1, y0, y1 } = extent.value;
        return Math.min(
            (WIDTH.value - 2 * MARGIN.value) / Math.max(x1 - x0, 0.5),
            (HEIGHT.value - 2 * MARGIN.value) / Math.max(y1 - y0, 0.5),
        );
    });
    const px = computed(() => {
        const { x0, x1 } = extent.value;
        const middle = (x0 + x1) / 2;
        return scaleLinear([middle, middle + 1], [WIDTH.value / 2, WIDTH.value / 2 + metre.value]);
    });
    const py = computed(() => {
        const { y0, y1 } = extent.value;
        const middle = (y0 + y1) / 2;
        return scaleLinear([middle, middle + 1], [HEIGHT.value / 2, HEIGHT.value / 2 - metre.value]);
    });
    const path = computed(() =>
        line<[number, number]>(
            (p) => px.value(p[0]),
            (p) => py.value(p[1]),
        ),
    );
    const walls = computed(() => (path.value(corners.value) ?? '') + (sheet().closed ? 'z' : ''));
    /** Clockwise walls have their inside on the right hand. */
    const inward = computed(() => {
        const c = corners.value;
        const twice = c.reduce((sum, [x, y], n) => {
            const [nx, ny] = c[(n + 1) % c.length] ?? [0, 0];
            return sum + x * ny - nx * y;
        }, 0);
        return twice <= 0 ? 1 : -1;
    });
    /** A run drawn a little inside the wall that it follows, each straight bit moved to its own inside. */
    function beside(points: number[][]): string {
        return points
            .slice(1)
            .map((to, n) => {
                const from = points[n] ?? to;
                const [ax, ay, bx, by] = [
                    px.value(from[0] ?? 0),
                    py.value(from[1] ?? 0),
                    px.value(to[0] ?? 0),
                    py.value(to[1] ?? 0),
                ];
                const length = Math.hypot(bx - ax, by - ay) || 1;
                const [ox, oy] = [
                    (-(by - ay) / length) * SIDE * inward.value,
                    ((bx - ax) / length) * SIDE * inward.value,
                ];
                const [ex, ey] = [((bx - ax) / length) * SIDE, ((by - ay) / length) * SIDE];
                return `M${ax + ox + ex},${ay + oy + ey}L${bx + ox - ex},${by + oy - ey}`;
            })
            .join('');
    }

    /** A leg goes along the walls: first across, then up or down the page. */
    function way(from: number[], to: number[], known: boolean): string {
        const [ax, ay, bx, by] = [
            px.value(from[0] ?? 0),
            py.value(from[1] ?? 0),
            px.value(to[0] ?? 0),
            py.value(to[1] ?? 0),
        ];
        return known ? `M${ax},${ay}H${bx}V${by}` : `M${ax},${ay}L${bx},${by}`;
    }

    const measures = computed(() =>
        corners.value.slice(1).map((to, n) => {
            const from = corners.value[n] ?? to;
            const [ax, ay, bx, by] = [px.value(from[0]), py.value(from[1]), px.value(to[0]), py.value(to[1])];
            const length = Math.hypot(bx - ax, by - ay) || 1;
            const [ox, oy] = [((by - ay) / length) * inward.value, (-(bx - ax) / length) * inward.value];
            const upright = Math.abs(bx - ax) < 0.3 * Math.abs(by - ay);
            return {
                wall: sheet().walls[n],
                path: `M${ax + ox * 26},${ay + oy * 26}L${bx + ox * 26},${by + oy * 26}`,
                ends: [
                    [ax, ay],
                    [bx, by],
                ]
                    .map(
                        ([x, y]) =>
                            `M${(x ?? 0) + ox * 20},${(y ?? 0) + oy * 20}L${(x ?? 0) + ox * 32},${(y ?? 0) + oy * 32}`,
                    )
                    .join(''),
                x: (ax + bx) / 2 + ox * 42,
                y: (ay + by) / 2 + oy * 42 + (upright ? 0 : 4),
                turn: upright ? -90 : 0,
            };
        }),
    );
    const middle = computed(() => ({
        x: px.value((extent.value.x0 + extent.value.x1) / 2),
        y: py.value((extent.value.y0 + extent.value.y1) / 2),
    }));
    /** The name is inside the room, or beside the walls of an open or narrow one. */
    const roomy = computed(() => sheet().closed && metre.value * (extent.value.x1 - extent.value.x0) > 150);
    const name = computed(() =>
        roomy.value ? { ...middle.value, anchor: 'middle' as const } : { x: 12, y: 34, anchor: 'start' as const },
    );

    return { HEIGHT, corners, metre, px, py, walls, beside, way, measures, middle, name };
}
