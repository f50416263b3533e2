<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The log names the pieces of a session as they were called then, without reading the whole case it was judged by. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->json('pieces')->default('{}');
        });
        foreach (DB::table('charge_sessions')->select(['id', 'case_file', 'chain_adapters'])->lazyById(100) as $session) {
            $case = json_decode($session->case_file, true, 512, JSON_THROW_ON_ERROR);
            $named = static fn (array $piece): array => ['id' => $piece['id'], 'name' => $piece['name'] ?? $piece['id']];
            $adapters = array_column([...$case['adapters'], ...(isset($case['outlet']['attached_adapter']) ? [$case['outlet']['attached_adapter']] : [])], null, 'id');
            DB::table('charge_sessions')->where('id', $session->id)->update(['pieces' => json_encode([
                'vehicle' => $named($case['vehicle']),
                'outlet' => $named($case['outlet']),
                'adapters' => array_map(static fn (string $id): array => $named($adapters[$id]), json_decode($session->chain_adapters, true, 512, JSON_THROW_ON_ERROR)),
            ], JSON_THROW_ON_ERROR)]);
        }
    }

    public function down(): void
    {
        Schema::table('charge_sessions', static function (Blueprint $table): void {
            $table->dropColumn('pieces');
        });
    }
};
