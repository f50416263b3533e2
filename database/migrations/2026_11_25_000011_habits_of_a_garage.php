<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How numbers, dates and hours are written where a garage is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('garages', static function (Blueprint $table): void {
            $table->string('locale', 12)->default('en-GB');
        });
        DB::table('garages')->where('units', 'us')->update(['locale' => 'en-US']);
    }

    public function down(): void
    {
        Schema::table('garages', static function (Blueprint $table): void {
            $table->dropColumn('locale');
        });
    }
};
