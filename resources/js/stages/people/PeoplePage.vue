<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3';
import { toString } from 'qrcode';
import { computed, ref } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import EmberMark from '@/ui/EmberMark.vue';
import { face, turnFace } from '@/lib/face';
import { ask, inWords } from '@/lib/http';
import { useKeys } from '@/lib/keys';
import { person } from '@/lib/person';
import type { People, Person } from '@/types/generated/responses';

const props = defineProps<{ people: People }>();
const shown = ref(props.people);
const user = computed(person);
const said = ref('');
const refused = ref('');
const current = ref('');
const password = ref('');
const role = ref('installer');
const job = ref<number | null>(null);
const email = ref('');
const roleWords = (key: string) => shown.value.roles.find((r) => r.role === key)?.words ?? key;
const others = computed(() => shown.value.devices.filter((d) => !d.here).length);

async function send(to: string, body: object, done: string): Promise<boolean> {
    said.value = refused.value = '';
    try {
        shown.value = await ask<People>('POST', `/people/${to}`, body);
        said.value = done;
        return true;
    } catch (error) {
        refused.value = inWords(error);
        return false;
    }
}
async function change(): Promise<void> {
    const kept = await send(
        'password',
        { current: current.value, password: password.value },
        'Your password is changed. Your other devices are signed out.',
    );
    if (kept) {
        current.value = password.value = '';
    }
}
/** A guest comes in by an invitation only. */
const rolesFor = (one: Person) => shown.value.roles.filter((r) => r.role !== 'guest' || one.role === 'guest');
async function invite(): Promise<void> {
    const body = {
        role: role.value,
        ...(role.value === 'guest' ? { job: job.value } : {}),
        ...(email.value ? { email: email.value } : {}),
    };
    const asked = email.value;
    if (await send('invite', body, 'An invitation is made.')) {
        if (asked) {
            said.value = shown.value.sent
                ? `The invitation is on its way to ${shown.value.sent}.`
                : 'The mail could not be sent. Hand the link over yourself.';
        }
        email.value = '';
    }
}
async function named(one: Person, select: HTMLSelectElement): Promise<void> {
    if (!(await send(`${one.id}/role`, { role: select.value }, `${one.name} is ${select.value} now.`))) {
        select.value = one.role;
    }
}
async function copy(text: string): Promise<void> {
    said.value = await navigator.clipboard.writeText(text).then(
        () => 'Copied. Send it to that person alone.',
        () => 'Not copied: mark the address and copy it.',
    );
}
const begun = ref('');
const picture = ref('');
const code = ref('');
const codes = ref<string[]>([]);

/** Answer to a request about the second factor; null and shown words where it is refused. */
async function factor<T>(to: string, body: object): Promise<T | null> {
    said.value = refused.value = '';
    try {
        return await ask<T>('POST', `/people/factor${to}`, body);
    } catch (error) {
        refused.value = inWords(error);
        return null;
    } finally {
        code.value = '';
    }
}
async function beginFactor(): Promise<void> {
    const made = await factor<{ secret: string; address: string }>('', {});
    if (made) {
        picture.value = await toString(made.address, { type: 'svg', margin: 2 });
        begun.value = made.secret;
    }
}
async function confirmFactor(): Promise<void> {
    codes.value = (await factor<{ codes: string[] }>('/confirm', { code: code.value }))?.codes ?? [];
    begun.value = codes.value.length ? '' : begun.value;
}
async function endFactor(): Promise<void> {
    const left = await factor<People>('/end', { code: code.value });
    if (left) {
        shown.value = left;
        codes.value = [];
        said.value = 'The second factor is off.';
    }
}
useKeys(() => [
    { key: 'h', what: 'All jobs', act: () => router.visit('/') },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="People" />
    <div class="mx-auto flex min-h-full max-w-[860px] flex-col px-6 pb-10">
        <header class="flex min-h-[52px] flex-wrap items-center gap-x-4">
            <EmberMark />
            <Link href="/" class="act">All jobs <kbd>H</kbd></Link>
            <span class="ml-auto text-ink2 max-sm:order-last max-sm:w-full">{{ user?.name }}, {{ user?.crew }}</span>
            <button type="button" class="text-ink2 max-sm:ml-auto" @click="turnFace()">
                {{ face === 'day' ? 'Night' : 'Day' }} <kbd>D</kbd>
            </button>
        </header>
        <ConnectionNote />
        <main class="pt-4">
            <h1 class="border-b border-ink pb-2 text-2xl font-semibold">People of {{ user?.crew }}</h1>
            <p role="status" class="min-h-6 pt-2 text-ink2">{{ said }}</p>
            <p v-if="refused" role="alert" class="border-l-4 border-stop bg-sheet px-3 py-2">{{ refused }}</p>
            <div v-if="shown.made" class="my-2 border-l-4 border-ember bg-sheet px-3 py-2">
                <p>Address for that person, good once and for a week. It is shown only now:</p>
                <p class="fig break-all">{{ shown.made }}</p>
                <button type="button" class="act" @click="copy(shown.made)">Copy it</button>
            </div>
            <ul>
                <li
                    v-for="one in shown.people"
                    :key="one.id"
                    class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule2 py-2"
                >
                    <span class="min-w-44 font-semibold" :class="{ 'text-ink2 line-through': one.closed }">{{
                        one.name
                    }}</span>
                    <span class="min-w-52 text-ink2">{{ one.email }}</span>
                    <span v-if="one.job" class="text-ink2">of {{ one.job }}</span>
                    <template v-if="shown.leads">
                        <label v-if="!one.closed"
                            ><span class="sr-only">Role of {{ one.name }}</span>
                            <select
                                class="pick"
                                :value="one.role"
                                @change="named(one, $event.target as HTMLSelectElement)"
                            >
                                <option v-for="r in rolesFor(one)" :key="r.role" :value="r.role">{{ r.role }}</option>
                            </select></label
                        >
                        <span v-else class="text-ink2">has left</span>
                        <span class="ml-auto flex gap-x-4">
                            <button
                                v-if="!one.closed && one.id !== shown.own"
                                type="button"
                                class="act"
                                @click="send(`${one.id}/reset`, {}, `A link for ${one.name} is made.`)"
                            >
                                New password<span class="sr-only"> for {{ one.name }}</span>
                            </button>
                            <button
                                v-if="one.id !== shown.own"
                                type="button"
                                class="act"
                                @click="
                                    send(
                                        `${one.id}/${one.closed ? 'reopen' : 'close'}`,
                                        {},
                                        one.closed
                                            ? `${one.name} can sign in again.`
                                            : `${one.name} can no longer sign in. Records keep the name.`,
                                    )
                                "
                            >
                                {{ one.closed ? 'Reopen' : 'Close' }}<span class="sr-only"> {{ one.name }}</span>
                            </button>
                        </span>
                    </template>
                    <span v-else class="text-ink2">{{ one.closed ? 'has left' : one.role }}</span>
                </li>
            </ul>
            <section v-if="shown.leads" class="mt-6" aria-labelledby="invite">
                <h2 id="invite" class="font-semibold">Invite</h2>
                <form class="mt-1 flex flex-wrap items-baseline gap-3" @submit.prevent="invite()">
                    <label
                        >as
                        <select v-model="role" class="pick" aria-describedby="role-says">
                            <option v-for="r in shown.roles" :key="r.role" :value="r.role">{{ r.role }}</option>
                        </select></label
                    >
                    <label v-if="role === 'guest'"
                        >of the job
                        <select v-model="job" class="pick" required>
                            <option :value="null" disabled>choose …</option>
                            <option v-for="one in shown.jobs" :key="one.id" :value="one.id">{{ one.name }}</option>
                        </select></label
                    >
                    <label v-if="shown.mails"
                        >by mail to
                        <input
                            v-model="email"
                            type="email"
                            class="field !w-64"
                            maxlength="200"
                            placeholder="optional"
                            autocomplete="off"
                    /></label>
                    <button class="press">Make a link</button>
                </form>
                <p id="role-says" class="mt-1 text-[13px] text-ink2">{{ roleWords(role) }}.</p>
                <ul class="mt-2">
                    <li v-for="one in shown.links" :key="one.id" class="flex gap-4 border-b border-rule2 py-1">
                        <span
                            >{{ one.for }}, until <span class="fig">{{ one.until }}</span></span
                        >
                        <button
                            type="button"
                            class="act ml-auto"
                            @click="send(`links/${one.id}/revoke`, {}, 'The link is revoked.')"
                        >
                            Revoke<span class="sr-only"> {{ one.for }}</span>
                        </button>
                    </li>
                </ul>
            </section>
            <section v-if="shown.leads" class="mt-6" aria-labelledby="record">
                <h2 id="record" class="font-semibold">Who did what</h2>
                <p class="text-[13px] text-ink2">
                    Sign-ins, exports, shares, prices, deletions and roles; kept for 400 days.
                    <a class="act" href="/people/record.csv">All as a table</a>
                </p>
                <div class="max-h-72 overflow-y-auto" tabindex="0" role="region" aria-labelledby="record">
                    <p
                        v-for="(line, n) in shown.record"
                        :key="n"
                        class="grid gap-x-4 border-b border-rule2 py-1 sm:grid-cols-[130px_150px_1fr]"
                    >
                        <span class="fig text-ink2">{{ line.at }}</span><span>{{ line.who }}</span
                        ><span
                            >{{ line.what
                            }}<template v-if="line.about"
                                >: <span class="text-ink2">{{ line.about }}</span></template
                            ></span
                        >
                    </p>
                </div>
            </section>
            <section class="mt-6" aria-labelledby="own">
                <h2 id="own" class="font-semibold">Your password</h2>
                <form class="mt-1 grid gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end" @submit.prevent="change()">
                    <label class="block"
                        >Current
                        <input
                            v-model="current"
                            type="password"
                            class="field"
                            maxlength="200"
                            autocomplete="current-password"
                            required
                    /></label>
                    <label class="block"
                        >New, at least 10 letters
                        <input
                            v-model="password"
                            type="password"
                            class="field"
                            minlength="10"
                            maxlength="200"
                            autocomplete="new-password"
                            required
                    /></label>
                    <button class="quiet">Change it</button>
                </form>
            </section>
            <section class="mt-6" aria-labelledby="factor">
                <h2 id="factor" class="font-semibold">Second factor</h2>
                <template v-if="shown.factor || codes.length">
                    <div v-if="codes.length" class="my-2 border-l-4 border-ember bg-sheet px-3 py-2">
                        <p>
                            It is on. Each of these lets you in once when the authenticator is lost. They are shown only
                            now: write them down, apart from your phone.
                        </p>
                        <p class="fig grid max-w-sm grid-cols-2">
                            <span v-for="one in codes" :key="one">{{ one }}</span>
                        </p>
                    </div>
                    <p v-else>
                        On: signing in asks for a code.
                        <span class="text-ink2">{{ shown.recovery }} recovery codes are left.</span>
                    </p>
                    <form class="flex flex-wrap items-baseline gap-3" @submit.prevent="endFactor()">
                        <label
                            >Code
                            <input
                                v-model="code"
                                class="fig field !w-36"
                                maxlength="20"
                                autocomplete="one-time-code"
                                required
                        /></label>
                        <button class="quiet">Switch it off</button>
                    </form>
                </template>
                <template v-else-if="begun">
                    <p>Scan this with an authenticator, or type the secret into it. Then enter the code it shows.</p>
                    <div class="flex flex-wrap items-center gap-5">
                        <!-- eslint-disable-next-line vue/no-v-html -->
                        <span class="block size-36 bg-white" v-html="picture" />
                        <div>
                            <p class="fig break-all">{{ begun.match(/.{1,4}/g)?.join(' ') }}</p>
                            <form class="mt-2 flex flex-wrap items-baseline gap-3" @submit.prevent="confirmFactor()">
                                <label
                                    >Code
                                    <input
                                        v-model="code"
                                        class="fig field !w-36"
                                        inputmode="numeric"
                                        maxlength="20"
                                        autocomplete="one-time-code"
                                        required
                                /></label>
                                <button class="press">Switch it on</button>
                            </form>
                        </div>
                    </div>
                </template>
                <template v-else>
                    <p class="text-[13px] text-ink2">
                        Off. With it a stolen password alone lets nobody in: an authenticator on your phone shows a new
                        code every 30 s.
                    </p>
                    <button type="button" class="act" @click="beginFactor()">Set it up</button>
                </template>
            </section>
            <section class="mt-6" aria-labelledby="devices">
                <h2 id="devices" class="font-semibold">Where you are signed in</h2>
                <ul>
                    <li v-for="one in shown.devices" :key="one.since + one.device" class="border-b border-rule2 py-1">
                        {{ one.device }}, since <span class="fig">{{ one.since }}</span>{{
                            one.here ? ', this one' : ''
                        }}
                    </li>
                </ul>
                <button
                    v-if="others"
                    type="button"
                    class="act mt-1"
                    @click="send('devices/end', {}, 'Your other devices are signed out.')"
                >
                    Sign out the other{{ others === 1 ? '' : ` ${others}` }}
                </button>
            </section>
        </main>
    </div>
</template>
