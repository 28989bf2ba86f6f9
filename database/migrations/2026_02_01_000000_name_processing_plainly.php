<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/* Version 3 of the format calls two things that a system does to a sound by other words. */
return new class extends Migration
{
    private const WORDS = ['enhancement' => 'tone-correction', 'spatial' => 'room-sound'];

    public function up(): void
    {
        $this->rename(self::WORDS);
    }

    public function down(): void
    {
        $this->rename(array_flip(self::WORDS));
    }

    /** @param  array<string, string>  $words */
    private function rename(array $words): void
    {
        foreach ($words as $from => $to) {
            DB::update('UPDATE device_settings SET processing = REPLACE(processing, ?, ?)', ["\"{$from}\"", "\"{$to}\""]);
        }
    }
};
