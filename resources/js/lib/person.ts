import { usePage } from '@inertiajs/vue3';

/** `plans`: whether the role includes changes of plans and prices. */
export type Person = { id: number; name: string; crew: string; plans: boolean };

/** Who is signed in on this page; null at the sign-in page. */
export function person(): Person | null {
    return (usePage().props.user as Person | null | undefined) ?? null;
}
