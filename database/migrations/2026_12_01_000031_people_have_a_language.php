<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Null: the language of whichever browser is used. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('language', 8)->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropColumns('users', 'language');
    }
};
