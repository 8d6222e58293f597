<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { Photo, PlacePhotos } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ place: string; name: string }>();
const { answer } = useScreen();
const photos = ref<Photo[]>([]);
const picker = ref<HTMLInputElement>();
const message = ref('');
const busy = ref(false);
const shown = ref<Photo | null>(null);
const limits = ref<PlacePhotos['limits'] | null>(null);
const url = (what: string) => `/jobs/${answer.value.job}/${what}`;

async function take(method: 'GET' | 'POST' | 'DELETE', path: string, body?: FormData): Promise<void> {
    try {
        const said = await ask<PlacePhotos>(method, url(path), body);
        photos.value = said.photos;
        limits.value = said.limits;
        message.value = '';
    } catch (error) {
        message.value = inWords(error);
    }
}
watch(
    () => props.place,
    (place) => void take('GET', `places/${place}/photos`),
    { immediate: true },
);

/** Files that the server would refuse are reported before they are sent over a slow line. */
async function tooLarge(file: File): Promise<string> {
    const most = limits.value;
    if (!most) {
        return '';
    }
    if (file.size > most.megabytes * 1e6) {
        return `It has ${(file.size / 1e6).toFixed(1)} MB; at most ${most.megabytes} are accepted. Use a smaller picture size.`;
    }
    const image = await createImageBitmap(file).catch(() => null);
    const pixels = (image?.width ?? 0) * (image?.height ?? 0);
    image?.close();
    return pixels > most.megapixels * 1e6
        ? `It has ${(pixels / 1e6).toFixed(1)} megapixels; at most ${most.megapixels} are accepted. Use a smaller picture size.`
        : '';
}

async function send(): Promise<void> {
    busy.value = true;
    for (const file of picker.value?.files ?? []) {
        const large = await tooLarge(file);
        if (large) {
            message.value = `${file.name} was not sent. ${large}`;
            break;
        }
        const body = new FormData();
        body.append('place', props.place);
        body.append('caption', file.name.replace(/\.[^.]+$/, '').slice(0, 200));
        body.append('photo', file);
        await take('POST', 'photos', body);
        if (message.value) {
            message.value = `${file.name} was not taken. ${message.value}`;
            break;
        }
    }
    busy.value = false;
    if (picker.value) {
        picker.value.value = '';
    }
}

async function remove(photo: Photo): Promise<void> {
    shown.value = null;
    await take('DELETE', `photos/${photo.id}`);
}
</script>

<template>
    <section aria-labelledby="photos">
        <div class="flex items-baseline gap-4">
            <h2 id="photos" class="font-semibold">Photos</h2>
            <input
                ref="picker"
                type="file"
                accept="image/*"
                multiple
                class="sr-only"
                tabindex="-1"
                :aria-label="`Photos of ${name}`"
                @change="send()"
            />
            <button type="button" class="act" :disabled="busy" @click="picker?.click()">
                {{ busy ? 'Sending …' : 'Add a photo' }}
            </button>
        </div>
        <p v-if="message" role="alert" class="mt-1 text-stop">{{ message }}</p>
        <ul v-if="photos.length" class="mt-2 flex gap-2 overflow-x-auto">
            <li v-for="photo in photos" :key="photo.id">
                <button type="button" @click="shown = photo">
                    <img
                        :src="photo.url"
                        :alt="photo.caption || `Photo of ${name}`"
                        class="h-24 rounded-[2px]"
                        loading="lazy"
                    />
                </button>
            </li>
        </ul>
        <p v-else class="text-[13px] text-ink2">None yet.</p>
        <p v-if="limits" class="text-[13px] text-ink2">
            JPEG, PNG or WebP, at most <span class="fig">{{ limits.megapixels }}</span> megapixels and
            <span class="fig">{{ limits.megabytes }}</span> MB each. They are made smaller; where they were taken is
            left out.
        </p>
        <DialogBox :open="shown !== null" :title="shown?.caption || name" reading @close="shown = null">
            <img v-if="shown" :src="shown.url" :alt="shown.caption || `Photo of ${name}`" class="w-full" />
            <button v-if="shown" type="button" class="act mt-3" @click="remove(shown)">Delete photo</button>
        </DialogBox>
    </section>
</template>
