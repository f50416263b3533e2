<?php

declare(strict_types=1);

use Harmozon\Core\Catalogue\Region;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Where a garage is: guessed from its time zone and its way of writing, and changed in its settings. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('garages', static function (Blueprint $table): void {
            $table->string('region', 20)->default(Region::Elsewhere->value);
        });
        foreach (DB::table('garages')->get(['id', 'timezone', 'locale']) as $garage) {
            DB::table('garages')->where('id', $garage->id)->update(['region' => Region::guess($garage->timezone, $garage->locale)->value]);
        }
    }

    public function down(): void
    {
        Schema::dropColumns('garages', 'region');
    }
};
