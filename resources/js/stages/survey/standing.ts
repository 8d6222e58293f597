import type { Sheet, Standing, StandingUnit } from '@/types/generated/responses';

/** A point of a wall: which leg of the notes, how far along it, and where that is on the sheet. */
export interface OnWall {
    wall: number;
    at: number;
    point: [number, number];
}

/** The walls of a sheet as straight lines with their legs. */
function lines(sheet: Sheet): { leg: number; from: [number, number]; to: [number, number]; length: number }[] {
    const corners = sheet.corners as [number, number][];
    return sheet.walls.flatMap((wall, n) => {
        const [from, to] = [corners[n], corners[n + 1]];
        return from && to ? [{ leg: wall.leg, from, to, length: Math.hypot(to[0] - from[0], to[1] - from[1]) }] : [];
    });
}

/** The nearest point of any wall. */
export function nearest(sheet: Sheet, x: number, y: number): OnWall | null {
    let best: (OnWall & { away: number }) | null = null;
    for (const { leg, from, to, length } of lines(sheet)) {
        const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
        const share = length ? Math.max(0, Math.min(1, ((x - from[0]) * dx + (y - from[1]) * dy) / length ** 2)) : 0;
        const point: [number, number] = [from[0] + share * dx, from[1] + share * dy];
        const away = Math.hypot(x - point[0], y - point[1]);
        if (!best || away < best.away - 1e-9) {
            best = { wall: leg, at: Math.round(share * length * 100) / 100, point, away };
        }
    }
    return best;
}

/** So many metres further along the walls, over corners; it stops where they end. */
export function along(sheet: Sheet, from: OnWall, by: number): OnWall {
    const walls = lines(sheet);
    let n = walls.findIndex((w) => w.leg === from.wall);
    let at = from.at + by;
    for (;;) {
        const wall = walls[n];
        if (!wall) {
            return from;
        }
        if (at < 0 && n > 0) {
            n -= 1;
            at += walls[n]?.length ?? 0;
        } else if (at > wall.length && n < walls.length - 1) {
            at -= wall.length;
            n += 1;
        } else {
            at = Math.max(0, Math.min(wall.length, at));
            const share = wall.length ? at / wall.length : 0;
            return {
                wall: wall.leg,
                at: Math.round(at * 100) / 100,
                point: [
                    wall.from[0] + share * (wall.to[0] - wall.from[0]),
                    wall.from[1] + share * (wall.to[1] - wall.from[1]),
                ],
            };
        }
    }
}

/** A unit at a point of a wall, at its former height. */
export function standing(place: string, to: OnWall, before: Standing | null): Standing {
    return { place, spot: '', wall: to.wall, at: to.at, up: before?.up ?? null };
}

/** Pixels by which the nth unit at one point is drawn below it, counted from 0; below the name of a spot. */
export function stackedAt(unit: StandingUnit, n: number): number {
    return 24 * n + (unit.stands?.spot ? 42 : 0);
}
