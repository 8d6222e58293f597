<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { Payload } from '@/lib/screen';
import type { BoardCell, ScenesPicture, SpokenLight } from '@/types/generated/responses';
import CellMark from './CellMark.vue';

/** Lights down, ways of control across. A cell says whether the light answers there; Enter wants it or leaves it. */
const props = defineProps<{ board: ScenesPicture; levels: Record<string, SpokenLight> }>();
const emit = defineEmits<{ change: [change: Payload]; starts: [] }>();
const cells = computed(() => Object.fromEntries(props.board.cells.map((c) => [`${c.control} ${c.light}`, c])));
const at = ref<[number, number]>([0, 0]);
const table = ref<HTMLTableElement>();
const zoned = ref('');
const words: Record<BoardCell['state'], string> = {
    works: 'tested, works',
    planned: 'planned',
    open: 'possible, not planned',
    cannot: 'not possible with this kit',
    clashes: 'clashes',
};
const cell = (control: string, light: string) => cells.value[`${control} ${light}`] as BoardCell;
const key = (c: BoardCell) => `${c.control} ${c.light}`;

/** Label of a cell for screen readers. */
const said = (light: string, control: string, c: BoardCell) =>
    `${light} by ${control}: ${words[c.state]}${c.zone ? `, zone ${c.zone}` : ''}${limits(c)}`;

/** Missing functions of the control for this light, after a comma; only for working cells. */
function limits(c: BoardCell): string {
    return c.limited && ['works', 'planned', 'clashes'].includes(c.state) ? `, ${c.limited}` : '';
}

function decide(c: BoardCell, wanted: boolean | null, zone = 0): void {
    const control = props.board.controls.find((one) => one.id === c.control)!;
    const light = props.board.lights.find((one) => one.id === c.light)!;
    zoned.value = '';
    emit('change', { kind: 'SetAnswer', control: control.item, light: light.item, wanted, zone });
}
function press(c: BoardCell): void {
    const control = props.board.controls.find((one) => one.id === c.control);
    const light = props.board.lights.find((one) => one.id === c.light);
    if (control?.item === '') {
        emit('starts');
        return;
    }
    if (c.state === 'cannot' || light?.item === '') {
        return;
    }
    const zones = control?.zones ?? 0;
    if (c.state === 'open') {
        decide(c, true);
    } else if (zones > 0) {
        zoned.value = zoned.value === key(c) ? '' : key(c);
    } else {
        decide(c, false);
    }
}
async function move(row: number, column: number): Promise<void> {
    at.value = [
        Math.max(0, Math.min(props.board.lights.length - 1, row)),
        Math.max(0, Math.min(props.board.controls.length - 1, column)),
    ];
    await nextTick();
    table.value?.querySelector<HTMLElement>('button[tabindex="0"]')?.focus();
}
function keys(event: KeyboardEvent): void {
    const [row, column] = at.value;
    const to = {
        ArrowUp: [row - 1, column],
        ArrowDown: [row + 1, column],
        ArrowLeft: [row, column - 1],
        ArrowRight: [row, column + 1],
    }[event.key];
    if (to) {
        event.preventDefault();
        void move(to[0]!, to[1]!);
    }
}
</script>

<template>
    <div class="mt-3 overflow-x-auto">
        <table ref="table" class="board" @keydown="keys">
            <caption class="sr-only">
                Which control works which light
            </caption>
            <thead>
                <tr>
                    <th scope="col"><span class="sr-only">Light</span></th>
                    <th v-for="c in board.controls" :key="c.id" scope="col">
                        <b>{{ c.label }}</b><span>{{ c.name }}{{ c.zones ? `, ${c.zones} zones` : '' }}</span>
                    </th>
                    <th v-if="Object.keys(levels).length" scope="col"><b>Voice</b><span>result</span></th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="(light, row) in board.lights" :key="light.id" :class="{ said: levels[light.id]?.answers }">
                    <th scope="row">
                        <b>{{ light.name }}</b> <span>{{ light.label }} · {{ light.room }} · {{ light.kind }}</span>
                    </th>
                    <td v-for="(control, column) in board.controls" :key="control.id">
                        <button
                            type="button"
                            :tabindex="at[0] === row && at[1] === column ? 0 : -1"
                            :aria-label="said(light.name, control.label, cell(control.id, light.id))"
                            :title="
                                cell(control.id, light.id).why ||
                                words[cell(control.id, light.id).state] + limits(cell(control.id, light.id))
                            "
                            @focus="at = [row, column]"
                            @click="press(cell(control.id, light.id))"
                        >
                            <CellMark :state="cell(control.id, light.id).state" />
                            <span v-if="cell(control.id, light.id).zone" class="fig">{{
                                cell(control.id, light.id).zone
                            }}</span>
                            <span v-if="limits(cell(control.id, light.id))" class="text-[12px] text-ink2">{{
                                cell(control.id, light.id).limited
                            }}</span>
                        </button>
                        <span v-if="zoned === `${control.id} ${light.id}`" class="zones" role="group" aria-label="Zone">
                            <button
                                v-for="n in control.zones"
                                :key="n"
                                type="button"
                                class="quiet fig"
                                @click="decide(cell(control.id, light.id), true, n)"
                            >
                                {{ n }}
                            </button>
                            <button type="button" class="quiet" @click="decide(cell(control.id, light.id), false)">
                                not
                            </button>
                        </span>
                    </td>
                    <td v-if="Object.keys(levels).length" class="fig">
                        <template v-if="levels[light.id]">{{
                            levels[light.id]!.answers ? `${Math.round(100 * levels[light.id]!.level)} %` : 'no response'
                        }}</template>
                    </td>
                </tr>
            </tbody>
        </table>
        <ul class="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-[13px] text-ink2" aria-label="Marks">
            <li v-for="(what, state) in words" :key="state" class="flex items-center gap-1.5">
                <CellMark :state="state" /> {{ what }}
            </li>
        </ul>
        <p class="mt-1 text-[13px] text-ink2">
            Arrow keys move; Enter plans a cell or clears it, and asks for the zone if there are zones. The resulting
            joins are steps at Join. Buttons, wires and presence are set under Automation.
        </p>
    </div>
</template>

<style scoped>
.board {
    border-collapse: collapse;
    width: 100%;
}
.board th {
    text-align: left;
    font-weight: 400;
    vertical-align: bottom;
    padding: 4px 12px 6px 0;
}
.board thead span {
    display: block;
    font-size: 12.5px;
    color: var(--ink-2);
}
.board tbody th span {
    font-size: 12.5px;
    color: var(--ink-2);
}
.board tbody tr {
    border-top: 1px solid var(--rule);
}
.board tbody tr.said {
    background: var(--sheet);
    box-shadow: inset 4px 0 0 var(--ember);
}
.board tbody th {
    padding-left: 8px;
    vertical-align: middle;
}
.board td > button {
    display: inline-flex;
    align-items: center;
    gap: 4px;
    min-width: 40px;
    min-height: 36px;
}
.zones {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    padding-bottom: 6px;
}
</style>
