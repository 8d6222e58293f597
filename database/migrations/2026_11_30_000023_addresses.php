<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** E-mail addresses are kept in small letters. One that another account already has in small letters stays as it is. */
return new class extends Migration {
    public function up(): void
    {
        foreach (
            DB::table('users')
                ->orderBy('id')
                ->get(['id', 'email'])
            as $user
        ) {
            $small = mb_strtolower(trim($user->email));
            if ($small !== $user->email && !DB::table('users')->where('email', $small)->exists()) {
                DB::table('users')
                    ->where('id', $user->id)
                    ->update(['email' => $small]);
            }
        }
    }

    public function down(): void
    {
        // Which letters were capital is not known; the earlier program signs in with small ones too.
    }
};
