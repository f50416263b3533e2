<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Browser sessions that were ended from elsewhere, so that their browsers can be told. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('ended_sessions', static function (Blueprint $table): void {
            $table->string('id_hash', 64)->primary();
            $table->dateTime('ended_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('ended_sessions');
    }
};
