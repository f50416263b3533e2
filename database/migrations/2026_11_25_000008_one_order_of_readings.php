<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a session's readings were when they were judged, rows on their way into it, and what the judge remembers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            // Counts every change of the readings, and those that touch what stood before the newest of them.
            $table->unsignedInteger('revision')->default(0);
            $table->unsignedInteger('disturbed')->default(0);
        });
        Schema::create('arriving_readings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->string('arrival', 40)->index();
            $table->string('client_id', 26);
            $table->unsignedBigInteger('t_ms');
            foreach (['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c', 'cable_c', 'inlet_c', 'ambient_c'] as $quantity) {
                $table->float($quantity)->nullable();
            }
            $table->string('source')->nullable();
            $table->string('note')->nullable();
            $table->dateTime('arrived_at')->index();
        });
        Schema::create('judge_memories', static function (Blueprint $table): void {
            $table->foreignId('charge_session_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('disturbed');
            $table->unsignedBigInteger('last_ms');
            $table->unsignedBigInteger('last_id');
            $table->string('made_by', 32);
            $table->binary('memory');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('judge_memories');
        Schema::dropIfExists('arriving_readings');
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropColumn(['revision', 'disturbed']);
        });
    }
};
