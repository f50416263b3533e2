<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rows of files that somebody waited for stood here until they were complete; files are imports now. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::dropIfExists('arriving_readings');
    }

    public function down(): void
    {
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
    }
};
