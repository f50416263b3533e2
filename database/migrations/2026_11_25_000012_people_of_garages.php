<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A person may belong to several garages, in a role, and stands in one of them; a garage that ends takes nobody with it. */
return new class extends Migration
{
    private const COLUMNS = ['id', 'ulid', 'garage_id', 'name', 'email', 'password', 'remember_token', 'created_at', 'updated_at'];

    public function up(): void
    {
        Schema::create('people', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });
        DB::table('people')->insertUsing(self::COLUMNS, DB::table('users')->select(self::COLUMNS));
        Schema::drop('users');
        Schema::rename('people', 'users');

        Schema::create('memberships', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 8);
            $table->timestamps();
            $table->unique(['garage_id', 'user_id']);
        });
        DB::table('memberships')->insertUsing(['garage_id', 'user_id', 'role'], DB::table('users')->whereNotNull('garage_id')->select('garage_id', 'id', DB::raw("'keeper'")));

        Schema::create('invitations', static function (Blueprint $table): void {
            $table->id();
            $table->ulid()->unique();
            $table->foreignId('garage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('invited_by')->nullable()->constrained('users')->nullOnDelete();
            $table->string('role', 8);
            $table->string('note');
            // Of the link only this is kept: who reads the database cannot join with it.
            $table->string('token_hash', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('password_reset_tokens', static function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        foreach (['password_reset_tokens', 'invitations', 'memberships'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
