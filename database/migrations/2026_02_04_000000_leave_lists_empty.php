<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A list with nothing in it is not held, in whatever table it is. */
return new class extends Migration
{
    private const LISTS = ['equipment_models' => 'auto_mutes', 'model_routes' => 'can', 'device_settings' => 'roles'];

    public function up(): void
    {
        foreach (self::LISTS as $table => $column) {
            Schema::table($table, fn (Blueprint $blueprint) => $blueprint->json($column)->nullable()->change());
            DB::table($table)->where($column, '[]')->update([$column => null]);
        }
    }

    public function down(): void
    {
        foreach (self::LISTS as $table => $column) {
            DB::table($table)->whereNull($column)->update([$column => '[]']);
            Schema::table($table, fn (Blueprint $blueprint) => $blueprint->json($column)->nullable(false)->change());
        }
    }
};
