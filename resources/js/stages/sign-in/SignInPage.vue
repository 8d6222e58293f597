<script setup lang="ts">
import { Head, useForm } from '@inertiajs/vue3';
import { ref } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';

defineProps<{ demo: boolean }>();
const form = useForm({ email: '', password: '', remember: false, code: '' });
/** Asked for once the password is right and the account has a second factor. */
const coded = ref(false);
function enterAccount(): void {
    form.post('/sign-in', {
        onError: (errors) => {
            coded.value ||= !!errors.code;
            if (!errors.code) {
                form.reset('password');
            }
            form.reset('code');
        },
    });
}
const enter = useForm({});
</script>

<template>
    <Head title="Sign in" />
    <main class="grid min-h-full place-items-center p-4">
        <div class="w-full max-w-sm">
            <svg viewBox="0 0 320 96" class="w-full" aria-hidden="true">
                <path d="M104 64a56 56 0 0 1 112 0z" fill="var(--ember)" />
                <path d="M0 66h320" stroke="var(--ink)" stroke-width="2" />
                <path d="M24 78h272" stroke="var(--copper)" stroke-width="6" stroke-dasharray="26 12" />
            </svg>
            <h1 class="mt-6 text-3xl font-semibold">Ember Dusk</h1>
            <p class="mt-1 text-ink2">From the tape measure to the hand-over sheet.</p>
            <ConnectionNote />
            <form v-if="demo" class="mt-6" @submit.prevent="enter.post('/sign-in/demo')">
                <button class="press w-full" :disabled="enter.processing">Try the demo</button>
                <p class="mt-2 text-ink2">With made-up jobs and devices. Or sign in to your own account:</p>
            </form>
            <form class="mt-4 space-y-3" @submit.prevent="enterAccount()">
                <label class="block"
                    >Address
                    <input
                        v-model="form.email"
                        maxlength="200"
                        type="email"
                        class="field"
                        autocomplete="username"
                        required
                        :aria-invalid="!!form.errors.email"
                        aria-describedby="email-said"
                    />
                </label>
                <p v-if="form.errors.email" id="email-said" role="alert" class="text-stop">{{ form.errors.email }}</p>
                <label class="block"
                    >Password
                    <input
                        v-model="form.password"
                        type="password"
                        class="field"
                        autocomplete="current-password"
                        required
                    />
                </label>
                <p v-if="form.errors.password" role="alert" class="text-stop">{{ form.errors.password }}</p>
                <template v-if="coded">
                    <label class="block"
                        >Code of your authenticator, or a recovery code
                        <input
                            v-model="form.code"
                            class="fig field"
                            autocomplete="one-time-code"
                            maxlength="20"
                            required
                            aria-describedby="code-said"
                        />
                    </label>
                    <p v-if="form.errors.code" id="code-said" role="alert" class="text-stop">{{ form.errors.code }}</p>
                </template>
                <label class="flex items-center gap-2"
                    ><input v-model="form.remember" type="checkbox" /> Stay signed in on this device for 30 days</label
                >
                <button class="quiet w-full" :disabled="form.processing">Sign in</button>
            </form>
        </div>
    </main>
</template>
