<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Support\Facades\Mail;
use Throwable;

/** Sends links by mail where the server can send any; without it they are only shown. */
final readonly class Invitations
{
    /** Mailers of the framework that send nothing to anyone. */
    private const SILENT = ['', 'log', 'array'];

    public static function canSend(): bool
    {
        return !in_array((string) config('mail.default'), self::SILENT, true);
    }

    /** Sends a link to an address. A server that refuses the mail takes nothing back: the link is shown anyway. Returns whether it was handed over. */
    public static function sent(string $email, string $crew, string $link): bool
    {
        try {
            Mail::raw(
                "You are invited to the crew “{$crew}” in Ember Dusk. Choose your password here:\n\n{$link}\n\n" .
                    'The address is good once, for ' .
                    PersonLinks::DAYS .
                    " days. If you do not know the crew, ignore this mail.\n",
                static fn($mail) => $mail->to($email)->subject("Invitation to {$crew}"),
            );
        } catch (Throwable $t) {
            report($t);

            return false;
        }

        return true;
    }
}
