<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody was answered when something was made, for those who ask again because the answer never came. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('answered_calls', static function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('key', 64);
            $table->string('fingerprint', 64);
            $table->unsignedSmallInteger('status');
            // Encrypted: a link or a token may be in it, which is told once.
            $table->text('body');
            $table->dateTime('answered_at')->index();
            $table->primary(['user_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('answered_calls');
    }
};
