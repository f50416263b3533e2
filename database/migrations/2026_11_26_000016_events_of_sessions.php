<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What happens during a session beside its readings, at which stall it was, and what its place counted and asked for. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('session_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->ulid('client_id');
            $table->string('code');
            $table->unsignedBigInteger('t_ms');
            $table->string('detail')->nullable();
            $table->json('took_out')->nullable();
            $table->unique(['charge_session_id', 'client_id']);
            $table->index(['charge_session_id', 't_ms']);
        });
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->string('stall', 60)->nullable();
            $table->string('paid_amount', 20)->nullable();
            $table->string('paid_currency', 3)->nullable();
            $table->float('station_kwh')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('session_events');
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropColumn(['stall', 'paid_amount', 'paid_currency', 'station_kwh']);
        });
    }
};
