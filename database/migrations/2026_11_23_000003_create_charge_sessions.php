<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A session keeps the plates it was judged by (`case_file`), so that editing a car later does not rewrite the past.
 * Every reading carries an id made by the one who took it: sent twice, it is stored once.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('charge_sessions', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('vehicle_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('outlet_id')->nullable()->constrained()->nullOnDelete();
            $table->json('case_file');
            $table->json('chain_adapters');
            $table->unsignedInteger('inlet_index');
            $table->string('note', 1000)->default('');
            $table->dateTime('started_at');
            $table->dateTime('finished_at')->nullable();
            $table->string('verdict')->nullable();
            $table->json('summary')->nullable();
            $table->softDeletes();
            $table->timestamps();
            $table->index(['garage_id', 'started_at']);
        });
        Schema::create('readings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('charge_session_id')->constrained()->cascadeOnDelete();
            $table->ulid('client_id');
            $table->unsignedBigInteger('t_ms');
            foreach (['soc_pct', 'volts', 'amps', 'kw', 'adapter_c', 'handle_c', 'cable_c', 'inlet_c', 'ambient_c'] as $quantity) {
                $table->float($quantity)->nullable();
            }
            $table->string('source')->nullable();
            $table->string('note')->nullable();
            $table->unique(['charge_session_id', 'client_id']);
            $table->index(['charge_session_id', 't_ms']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('readings');
        Schema::dropIfExists('charge_sessions');
    }
};
