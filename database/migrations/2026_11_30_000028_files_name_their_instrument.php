<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which instrument wrote a readings file, and what its first row says of the hour: another file is laid beside it by that. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('readings_imports', static function (Blueprint $table): void {
            $table->string('instrument', 40)->nullable();
            $table->json('clock')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropColumns('readings_imports', ['instrument', 'clock']);
    }
};
