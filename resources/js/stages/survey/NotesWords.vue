<script setup lang="ts">
import DialogBox from '@/ui/DialogBox.vue';

defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const WORDS: [string, string][] = [
    ['start door', 'where measuring begins; up the page is the first heading'],
    [
        '5.20 cove',
        'a wall of 5.20 m with the run “cove” along it; 5,20 is the same, and so is 17 ft 3/4 in, but all notes of a place keep to one',
    ],
    ['5.20 cove and shelf', 'two runs along one wall'],
    ['right 3.80 cove', 'turn right, then a wall; left and right take degrees: right 45 3.80'],
    [
        '5.20 cove, gap 0.90 at 1.30 window',
        'an opening of 0.90 m that begins 1.30 m into the wall; the run leaves it out',
    ],
    ['up 0.85 rail', 'the run climbs; down likewise'],
    ['close', 'the walls are back at the start'],
    [
        'floor 1 · high 2.70 · damp · air 45 · bundle 3',
        'the floor, the height, damp or dry, how warm the air gets (°C): a line each',
    ],
    [
        'outlet P1 dais at 1.20, circuit C2',
        'power 1.20 m along the wall before, or “on cove at 1.20” along the walls of a run; spur likewise; key: live with the key only',
    ],
    [
        'box B1 loft, 40x30x12, vented, ladder',
        'where things can hide: size in cm, air (open, vented, sealed), access (hand, tools, ladder, closed)',
    ],
    [
        'leg A B1 to window 3x2.5 6.00, wall',
        'a cable that is there: from, to (or ?), cores and size, length; conduit, ceiling, surface, ground, free; guessed; 3x14awg',
    ],
    [
        'battery E1, 3 of 8 V, 2 rows, 165 Ah, want 12 V',
        'blocks in series, rows in parallel, what the light needs; charged elsewhere; fitted: there already; key: live with the key only',
    ],
    [
        'signal brake under the seat at 0.40, found',
        'wire of a vehicle: key, brake, left or right; found once the meter has shown which one it is',
    ],
    ['now 4 tubes, take out', 'what lights the place now; or “, stay”'],
    ['trim skirting 3.20', 'trim to remove before the work and refit after it'],
    ['listed Hall zigbee', 'a unit that the client’s hub knows: name and radio'],
    ['spare C9 zigbee, 2 channels, 3 A', 'what runs already and has room for more'],
    ['later 3 A over the desk', 'amps that are kept for a later feed'],
    ['wifi 6 office · hub 15 loft', 'networks that are there, by channel; ? while not known'],
    [
        'run cove, profile, main light, up 2.55',
        'profile or bare, outdoors, moving, removable; main or accent light; height',
    ],
    [
        'run wall, matrix 14x9, top left, rows, serpentine',
        'pixels across and down; corner of the first pixel, rows or columns, serpentine or straight, as far as known; fixed: data keeps its end',
    ],
    ['# remark', 'kept, not read; a semicolon parts clauses on one line'],
];
</script>

<template>
    <DialogBox :open="open" title="What you can type" reading @close="emit('close')">
        <dl class="space-y-2">
            <div v-for="[word, meaning] in WORDS" :key="word" class="grid grid-cols-[1fr_1.2fr] gap-4">
                <dt class="fig text-[13px]">{{ word }}</dt>
                <dd class="text-ink2">{{ meaning }}</dd>
            </div>
        </dl>
    </DialogBox>
</template>
