<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Rigs\Tables\MissingColumns;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** Writes the migration for fields that the description of the format has got since the tables were made. */
final class WriteMigration extends Command
{
    protected $signature = 'format:migration {name : What the columns are for, in a word or two}';

    protected $description = 'Write a migration for the columns that the description of the format asks for';

    public function handle(): int
    {
        $missing = MissingColumns::all();
        if ($missing === []) {
            $this->info('The tables have all columns already.');

            return self::SUCCESS;
        }
        $names = array_map(basename(...), glob(database_path('migrations/*.php')) ?: []);
        sort($names);
        $day = date('Y_m_d', (int) strtotime(str_replace('_', '-', substr($names[count($names) - 1] ?? '', 0, 10)).' +1 day'));
        $file = database_path("migrations/{$day}_000000_".Str::snake(Str::studly((string) $this->argument('name'))).'.php');
        if (@file_put_contents($file, self::text($missing)) === false) {
            $this->error("{$file} can't be written.");

            return self::FAILURE;
        }
        $this->info("Wrote {$file}.");

        return self::SUCCESS;
    }

    /** @param  array<string, array<string, string>>  $missing */
    private static function text(array $missing): string
    {
        $up = $down = '';
        foreach ($missing as $table => $columns) {
            $up .= "        Schema::table('{$table}', function (Blueprint \$table): void {\n"
                .implode('', array_map(fn (string $call) => "            \$table->{$call};\n", $columns))."        });\n";
            $down .= "        Schema::table('{$table}', function (Blueprint \$table): void {\n            \$table->dropColumn(["
                .implode(', ', array_map(fn (string $name) => "'{$name}'", array_keys($columns)))."]);\n        });\n";
        }

        return <<<PHP
            <?php

            declare(strict_types=1);

            use Illuminate\\Database\\Migrations\\Migration;
            use Illuminate\\Database\\Schema\\Blueprint;
            use Illuminate\\Support\\Facades\\Schema;

            return new class extends Migration
            {
                public function up(): void
                {
            {$up}    }

                public function down(): void
                {
            {$down}    }
            };

            PHP;
    }
}
