<?php

declare(strict_types=1);

use Tests\Support\PhpUses;

/**
 * @param  array<string, PhpUses>  $files
 * @param  list<string>  $forbidden
 * @return list<string> "file: what it uses"
 */
function usesOf(array $files, array $forbidden): array
{
    $found = [];
    foreach ($files as $path => $file) {
        foreach ($file->uses($forbidden) as $one) {
            $found[] = "{$path}: {$one}";
        }
    }

    return $found;
}

/** @return array<string, PhpUses> */
function coreFiles(): array
{
    static $files = null;

    return $files ??= PhpUses::below('core');
}

it('sees what a file uses', function () {
    $file = new PhpUses(<<<'PHP'
        <?php

        declare(strict_types=1);

        namespace One\Two;

        use Far\Away as Near;
        use Other\Thing;

        final readonly class A extends Near\B
        {
            use Sub\Piece;

            public function time(): void
            {
                $this->date();
                \App\Models\Rig::query();
                array_map(fn () => strlen(...), [new Thing, new class {}]);
                Thing::rand();
            }
        }
        PHP);
    expect($file->namespace)->toBe('One\Two')->and($file->isStrict)->toBeTrue()->and($file->isFinal)->toBeTrue()
        ->and($file->names)->toBe(['Far\Away', 'Other\Thing', 'Far\Away\B', 'One\Two\Sub\Piece', 'App\Models\Rig'])
        ->and($file->functions)->toBe(['array_map', 'strlen'])
        ->and($file->uses(['App', 'Far', 'Oth', 'strlen', 'time', 'date', 'rand']))->toBe(['App', 'Far', 'strlen'])
        ->and((new PhpUses('<?php abstract class A {} echo 1;'))->functions)->toBe(['echo'])
        ->and((new PhpUses('<?php class A {}'))->isFinal)->toBeFalse()->and((new PhpUses('<?php enum A {}'))->isFinal)->toBeTrue();
});

it('has a core that knows no framework', function () {
    expect(coreFiles())->not->toBe([])->and(usesOf(coreFiles(), ['Illuminate', 'Laravel', 'Symfony', 'App', 'Carbon', 'config', 'app', 'env',
        'request', 'now', 'base_path', 'resource_path']))->toBe([]);
});

it('has a core that does no input or output and reads no clock', function () {
    expect(usesOf(coreFiles(), ['file_get_contents', 'file_put_contents', 'fopen', 'echo', 'print', 'time', 'microtime', 'hrtime', 'date',
        'rand', 'mt_rand', 'random_int', 'DateTime', 'DateTimeImmutable', 'getenv']))->toBe([]);
});

it('has a core of one direction: each room uses only those before it', function () {
    $rooms = ['Quantity', 'Equipment', 'Rig', 'Document', 'Kinds', 'Devices', 'Situations', 'Signal', 'Edit', 'Planning', 'Levels',
        'Recording', 'Timing', 'Grounds', 'Dependence', 'Controls', 'Checks', 'Bench', 'Audio', 'Tones', 'Room', 'Finder', 'Progress',
        'History', 'Sheets', 'Book', 'Export', 'Import'];
    $found = [];
    foreach ($rooms as $number => $room) {
        $later = array_map(fn (string $other) => "HiddenWire\\Core\\{$other}", array_slice($rooms, $number + 1));
        $here = array_filter(coreFiles(), fn (string $path) => str_starts_with($path, "core/{$room}/"), ARRAY_FILTER_USE_KEY);
        expect($here)->not->toBe([]);
        $found = [...$found, ...usesOf($here, $later)];
    }
    expect($found)->toBe([])
        ->and(array_diff(array_map(basename(...), (array) glob(dirname(__DIR__, 2).'/core/*', GLOB_ONLYDIR)), $rooms))->toBe([]);
});

it('has strict types everywhere, final classes in the core, and dumps nothing', function () {
    $files = [...coreFiles(), ...PhpUses::below('app'), ...PhpUses::below('database/seeders'), ...PhpUses::below('lib')];
    expect(array_keys(array_filter($files, fn (PhpUses $file) => ! $file->isStrict)))->toBe([])
        ->and(array_keys(array_filter(coreFiles(), fn (PhpUses $file) => ! $file->isFinal)))->toBe([])
        ->and(usesOf([...$files, ...PhpUses::below('config'), ...PhpUses::below('routes')], ['dd', 'dump', 'var_dump', 'ray']))->toBe([]);
});

it('has view models that ask no database and do not know who is signed in', function () {
    expect(usesOf(PhpUses::below('app/ViewModels'), ['Illuminate\Support\Facades\DB', 'Illuminate\Support\Facades\Auth']))->toBe([]);
});

it('computes nothing in views: nothing is made, asked of the database, or measured there', function () {
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        dirname(__DIR__, 2).'/resources/views',
        FilesystemIterator::SKIP_DOTS,
    )) as $file) {
        foreach ((array) file($file->getPathname()) as $number => $line) {
            if (preg_match('/\bnew [A-Z\\\\]|::query\(|\bDB::|->(get|first|paginate|exists)\(\)|TextWidth::|\busort\(/', (string) $line) === 1) {
                $found[] = "{$file->getFilename()}:".($number + 1).': '.trim((string) $line);
            }
        }
    }
    expect($found)->toBe([]);
});

it('has no line past 140 characters', function () {
    $long = [];
    foreach (['core', 'app', 'config', 'database', 'routes', 'resources/views', 'resources/book'] as $room) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        ));
        foreach ($files as $file) {
            foreach ($file->getExtension() === 'php' ? (array) file($file->getPathname()) : [] as $number => $line) {
                if (mb_strlen(rtrim((string) $line)) > 140) {
                    $long[] = "{$file->getPathname()}:".($number + 1);
                }
            }
        }
    }
    expect($long)->toBe([]);
});

it('says of every method that throws what and when', function () {
    $silent = [];
    foreach (['core', 'app'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        )) as $file) {
            $tokens = PhpToken::tokenize((string) file_get_contents($file->getPathname()));
            [$comment, $method, $depth, $tries] = ['', null, 0, []];
            foreach ($tokens as $i => $token) {
                $next = $tokens[$i + 2] ?? null;
                if ($token->is(T_DOC_COMMENT)) {
                    $comment = $token->text;
                } elseif ($token->is(T_FUNCTION) && $next?->is(T_STRING) === true) {
                    [$method, $comment] = [[$next->text, $comment, $depth], ''];
                } elseif (in_array($token->text, ['{', '${'], true) || $token->is(T_CURLY_OPEN)) {
                    $depth++;
                } elseif ($token->text === '}') {
                    $depth--;
                    $tries = array_values(array_filter($tries, fn (int $at) => $at < $depth));
                    $method = $method !== null && $depth <= $method[2] ? null : $method;
                } elseif ($token->is(T_TRY)) {
                    $tries[] = $depth;
                } elseif ($token->is(T_THROW) && $method !== null && $tries === [] && ! str_contains($method[1], '@throws')
                    && ! str_contains($tokens[$i + 4]->text ?? '', 'LogicException')) {
                    $silent[] = "{$file->getFilename()}:{$token->line} {$method[0]}";
                }
            }
        }
    }
    expect($silent)->toBe([]);
});

it('lets no clock decide a test of the core: work is counted', function () {
    $found = array_filter(
        [...(array) glob(dirname(__DIR__).'/Core/*.php'), ...(array) glob(dirname(__DIR__).'/Support/*.php')],
        fn (mixed $file) => preg_match('/\b(hr|micro)time\(/', (string) file_get_contents((string) $file)) === 1,
    );
    expect($found)->toBe([]);
});

it('says real plurals to people', function () {
    $found = [];
    foreach (['core', 'app', 'resources/views', 'resources/js', 'resources/catalogue', 'resources/starters', 'resources/rigs'] as $room) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        ));
        foreach ($files as $file) {
            if (preg_match('/\w\(s\)/', (string) file_get_contents($file->getPathname())) === 1) {
                $found[] = $file->getPathname();
            }
        }
    }
    expect($found)->toBe([]);
});

it('adds up amplitudes in one place: all who say how loud a sound is ask the field', function () {
    $found = [];
    foreach (['core', 'app'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            dirname(__DIR__, 2)."/{$room}",
            FilesystemIterator::SKIP_DOTS,
        )) as $file) {
            if (preg_match(
                '/\b(new Spread\b|new Propagation\b|Slot::of\(|->taps\b|[aA]mplitude\w* ?\*\* ?2|array_sum\(.*amplitude)/',
                (string) file_get_contents($file->getPathname()),
            ) === 1) {
                $found[] = substr($file->getPathname(), strlen(dirname(__DIR__, 2)) + 1);
            }
        }
    }
    sort($found);
    // Effort counts taps, Slot and Sum judge what the field has added.
    expect($found)->toBe(['core/Signal/Effort.php', 'core/Signal/Propagation.php', 'core/Signal/Slot.php', 'core/Signal/SoundField.php',
        'core/Signal/Sum.php']);
});
