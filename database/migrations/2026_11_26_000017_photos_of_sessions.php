<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A photograph of a screen or of a thermometer stands at a moment of a session. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('photos', static function (Blueprint $table): void {
            $table->unsignedBigInteger('t_ms')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('photos', static function (Blueprint $table): void {
            $table->dropColumn('t_ms');
        });
    }
};
