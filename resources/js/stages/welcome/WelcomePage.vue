<script setup lang="ts">
import { Head, useForm } from '@inertiajs/vue3';

const props = defineProps<{ url: string; crew: string; email: string }>();
const form = useForm({ name: '', email: '', password: '' });
const send = () =>
    form
        .transform((data) => (props.email ? { password: data.password } : data))
        .post(props.url, { onFinish: () => form.reset('password') });
</script>

<template>
    <Head title="Welcome" />
    <main class="grid min-h-full place-items-center p-4">
        <div class="w-full max-w-sm">
            <h1 class="text-3xl font-semibold">{{ email ? 'A new password' : 'Welcome' }}</h1>
            <p class="mt-1 text-ink2">
                {{ email ? `For ${email}, in ${crew}. All devices are signed out.` : `You are invited to ${crew}.` }}
            </p>
            <form class="mt-4 space-y-3" @submit.prevent="send()">
                <template v-if="!email">
                    <label class="block"
                        >Your name <input v-model="form.name" class="field" maxlength="80" autocomplete="name" required
                    /></label>
                    <p v-if="form.errors.name" role="alert" class="text-stop">{{ form.errors.name }}</p>
                    <label class="block"
                        >E-mail address
                        <input
                            v-model="form.email"
                            type="email"
                            class="field"
                            maxlength="200"
                            autocomplete="username"
                            required
                    /></label>
                    <p v-if="form.errors.email" role="alert" class="text-stop">{{ form.errors.email }}</p>
                </template>
                <label class="block"
                    >Password, at least 10 letters
                    <input
                        v-model="form.password"
                        type="password"
                        class="field"
                        maxlength="200"
                        minlength="10"
                        autocomplete="new-password"
                        aria-describedby="password-said"
                        required
                /></label>
                <p id="password-said" class="text-[13px] text-ink2">
                    Three or four words that do not belong together are easy to remember and hard to guess.
                </p>
                <p v-if="form.errors.password" role="alert" class="text-stop">{{ form.errors.password }}</p>
                <button class="press w-full" :disabled="form.processing">
                    {{ email ? 'Save and sign in' : 'Join the crew' }}
                </button>
            </form>
        </div>
    </main>
</template>
