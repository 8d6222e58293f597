<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who did what that matters for trust: sign-ins, exports, deletions, shares, prices, roles. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            // None where someone tried to sign in with an address that no account has.
            $table->foreignId('crew_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('what', 80);
            $table->string('about', 120);
            $table->string('network', 20);
            $table->timestamp('at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('acts');
    }
};
