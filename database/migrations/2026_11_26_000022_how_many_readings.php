<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A session knows how many readings it holds: counting a day of them takes longer than writing one more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->unsignedInteger('held')->default(0);
        });
        DB::statement('update charge_sessions set held = (select count(*) from readings where readings.charge_session_id = charge_sessions.id)');
    }

    public function down(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropColumn('held');
        });
    }
};
