<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second factor: codes of an authenticator, and codes for when it is lost. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            // Encrypted; there from the moment at which it is shown, in force once a code of it was entered.
            $table->text('factor_secret')->nullable();
            $table->timestamp('factor_since')->nullable();
            // The last step of 30 s whose code was taken: no code counts twice.
            $table->unsignedBigInteger('factor_step')->default(0);
            $table->text('recovery_codes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['factor_secret', 'factor_since', 'factor_step', 'recovery_codes']);
        });
    }
};
