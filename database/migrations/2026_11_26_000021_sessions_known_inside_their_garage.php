<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A garage that is brought in beside the one it came from has the same sessions: each is known inside its garage. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropUnique(['ulid']);
            $table->unique(['garage_id', 'ulid']);
        });
    }

    public function down(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropUnique(['garage_id', 'ulid']);
            $table->unique(['ulid']);
        });
    }
};
