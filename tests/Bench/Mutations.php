<?php

declare(strict_types=1);

namespace Tests\Bench;

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Mutation;
use Pest\Mutate\Mutators\Equality;
use Pest\Mutate\Mutators\Sets;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Pest\Support\Str;
use Psr\SimpleCache\CacheInterface;
use RuntimeException;
use SebastianBergmann\CodeCoverage\CodeCoverage;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Small faults put into the core, one at a time, each against the tests that run through its lines: what no test notices is reported. Which
 * tests run where comes from one run of all of them with coverage.
 */
final class Mutations
{
    /** Mutants that run at a time. */
    private const PROCESSES = 2;

    /** A fault that never ends is noticed: what takes this many times as long as without it and with coverage, and so many seconds more. */
    private const TIMES = 3;

    private const SECONDS_MORE = 120;

    /** Rooms whose lines are always watched, others where they are asked for: each line that is watched takes its time. */
    public const ROOMS = ['Signal', 'Planning', 'Checks', 'Levels', 'Edit'];

    /** Tests that take longer come last, in seconds. */
    private const LONG = 8.0;

    /** Texts are left out: what a message says is read, not tested word by word. */
    private const SETS = [
        Sets\ArithmeticSet::class, Sets\ArraySet::class, Sets\AssignmentSet::class, Sets\ControlStructuresSet::class, Sets\EqualitySet::class,
        Sets\LogicalSet::class, Sets\MathSet::class, Sets\NumberSet::class, Sets\RemovalSet::class, Sets\ReturnSet::class,
    ];

    /** Loose comparisons are left out, too: between values of one type they are the strict ones. */
    private const ALIKE = [
        Equality\IdenticalToEqual::class, Equality\NotIdenticalToNotEqual::class, Equality\EqualToIdentical::class,
        Equality\NotEqualToNotIdentical::class,
    ];

    /** @var array<string, array<int, list<string>>> names of tests, by file of the core and line */
    private array $covered = [];

    /** @var array<string, float> seconds of each test with all its datasets, by name */
    private array $seconds = [];

    /** @var array<string, string> its file, by name */
    private array $files = [];

    /**
     * Runs every test file with coverage whose result is not kept already.
     *
     * @param  string  $kept  folder for results, each under the state of the core, of the tests' support and of its test file
     * @param  list<string>  $rooms  folders of the core
     * @param  callable(string): void  $say
     *
     * @throws RuntimeException if a test fails
     */
    public function __construct(private readonly string $root, string $kept, private readonly array $rooms, callable $say)
    {
        // The plugin keeps mutants in a folder of its own, and here nothing of them.
        Container::getInstance()->add(CacheInterface::class, new NullStore);
        foreach (["{$root}/vendor/pestphp/pest-plugin-mutate/.temp/mutations", $kept] as $folder) {
            is_dir($folder) || mkdir($folder, 0755, true);
        }
        $results = $this->results($kept);
        $this->collect(array_filter($results, fn (string $result) => ! is_file($result)), $say);
        array_map(unlink(...), array_filter(array_diff(glob("{$kept}/*") ?: [], $results), is_file(...)));
        foreach ($results as $result) {
            $of = unserialize((string) file_get_contents($result), ['allowed_classes' => false]);
            assert(is_array($of));
            $this->seconds += $of['seconds'];
            $this->files += $of['files'];
            foreach ($of['covered'] as $file => $lines) {
                foreach ($lines as $line => $names) {
                    $this->covered[$file][$line] = [...$this->covered[$file][$line] ?? [], ...$names];
                }
            }
        }
    }

    /** @return array<string, string> where the result of each test file is kept, by its path; large ones first, which take long, more or less */
    private function results(string $kept): array
    {
        $shared = hash('xxh64', $this->unwatched().implode("\n", array_map(
            fn (string $file) => $file.md5_file($file),
            array_merge(...array_map(fn (string $one) => glob("{$this->root}/{$one}") ?: [], ['core/*/*.php', 'core/*/*/*.php', 'core/*/*/*/*.php',
                'tests/Support/*.php', 'tests/Pest.php', 'tests/Core/findings.php', 'tests/Core/starters/*'])),
        )));
        $files = glob("{$this->root}/tests/Core/*Test.php") ?: [];
        usort($files, fn (string $a, string $b) => filesize($b) <=> filesize($a) ?: $a <=> $b);

        return array_combine($files, array_map(fn (string $file) => "{$kept}/{$shared}-".basename($file, '.php').'-'.md5_file($file), $files));
    }

    /** What of the core is not watched, as pcov has it. */
    private function unwatched(): string
    {
        $rooms = array_unique([...self::ROOMS, ...$this->rooms]);
        sort($rooms);

        return '~/core/(?!('.implode('|', $rooms).')/)~';
    }

    /**
     * @param  array<string, string>  $results
     * @param  callable(string): void  $say
     *
     * @throws RuntimeException if a test fails
     */
    private function collect(array $results, callable $say): void
    {
        if ($results !== []) {
            $say(sprintf('Running %d test files to see what they run through', count($results)));
        }
        $running = [];
        while ($results !== [] || $running !== []) {
            while (count($running) < self::PROCESSES && $results !== []) {
                $file = (string) array_key_first($results);
                $result = array_shift($results);
                $process = new Process(['php', '-d', 'extension=pcov', '-d', 'pcov.enabled=1', '-d', "pcov.directory={$this->root}/core",
                    '-d', "pcov.exclude={$this->unwatched()}", '-d', 'memory_limit=3G', 'vendor/bin/pest', '--colors=never',
                    "--coverage-php={$result}.coverage", "--log-junit={$result}.junit", $file], $this->root);
                $process->setTimeout(null)->start();
                $running[$file] = [$process, $result];
            }
            usleep(20_000);
            foreach ($running as $file => [$process, $result]) {
                if ($process->isRunning()) {
                    continue;
                }
                if (! $process->isSuccessful()) {
                    throw new RuntimeException("{$file}\n".$process->getOutput().$process->getErrorOutput());
                }
                unset($running[$file]);
                // Whole or not at all: whoever ends the bench meanwhile leaves nothing half written behind.
                file_put_contents("{$result}.new", serialize(self::read("{$result}.coverage", "{$result}.junit")));
                rename("{$result}.new", $result);
                array_map(unlink(...), ["{$result}.coverage", "{$result}.junit"]);
            }
        }
    }

    /** @return array{covered: array<string, array<int, list<string>>>, seconds: array<string, float>, files: array<string, string>} */
    private static function read(string $coverage, string $junit): array
    {
        $seconds = $files = $covered = [];
        $cases = simplexml_load_file($junit);
        foreach ($cases === false ? [] : (array) $cases->xpath('//testcase') as $case) {
            [$path, $description] = explode('::', (string) $case['file'], 2) + ['', ''];
            $name = self::named((string) $case['class'], Str::evaluable((string) preg_replace('/ with data set .*$/s', '', $description)));
            $seconds[$name] = ($seconds[$name] ?? 0.0) + (float) $case['time'];
            $files[$name] = $path;
        }
        $of = require $coverage;
        assert($of instanceof CodeCoverage);
        foreach ($of->getData()->lineCoverage() as $file => $lines) {
            foreach ($lines as $line => $tests) {
                $names = [];
                foreach ($tests ?? [] as $test) {
                    [$class, $method] = explode('::', (string) preg_replace('/( with data set |#).*$/s', '', $test), 2) + ['', ''];
                    $names[self::named($class, $method)] = true;
                }
                // A line that runs and that no test comes to is kept, too.
                if ($tests !== null) {
                    $covered[$file][$line] = array_keys(array_intersect_key($names, $files));
                }
            }
        }

        return ['covered' => $covered, 'seconds' => $seconds, 'files' => $files];
    }

    private static function named(string $class, string $method): string
    {
        return basename(str_replace('\\', '/', $class)).'::'.$method;
    }

    /**
     * @param  list<array{string, string}>  $equivalent  file and diff of mutants that do the same
     * @param  callable(string): void  $say
     * @return array{killed: int, survived: list<string>, equivalent: int}
     */
    public function room(string $room, int $seed, int $count, array $equivalent, callable $say): array
    {
        $mutants = $this->drawn($room, $seed, $count);
        $say(sprintf('%s: %d mutants drawn', $room, count($mutants)));
        $killed = $same = $done = 0;
        $survived = $running = [];
        while ($mutants !== [] || $running !== []) {
            while (count($running) < self::PROCESSES && $mutants !== []) {
                $mutant = array_shift($mutants);
                $steps = $this->steps($mutant);
                if ($steps === []) {
                    $survived[] = $this->told($mutant, 'no test comes here');
                    $done++;
                } else {
                    $running[] = [$mutant, $this->started($mutant, array_shift($steps)), $steps];
                }
            }
            usleep(20_000);
            foreach ($running as $i => [$mutant, $process, $steps]) {
                if (self::isRunning($process)) {
                    continue;
                }
                if ($process->isSuccessful() && $steps !== []) {
                    $running[$i] = [$mutant, $this->started($mutant, array_shift($steps)), $steps];

                    continue;
                }
                unset($running[$i]);
                $done++;
                $key = [substr($mutant->file->getPathname(), strlen($this->root) + 1), trim($mutant->diff)];
                match (true) {
                    ! $process->isSuccessful() => $killed++,
                    in_array($key, $equivalent, true) => $same++,
                    default => $survived[] = $this->told($mutant, 'lives'),
                };
                if ($done % 10 === 0) {
                    $say(sprintf('%s: %d done, %d killed, %d live', $room, $done, $killed, count($survived)));
                }
            }
            $running = array_values($running);
        }

        return ['killed' => $killed, 'survived' => $survived, 'equivalent' => $same];
    }

    /** @return list<Mutation> */
    private function drawn(string $room, int $seed, int $count): array
    {
        $mutators = array_values(array_diff(
            array_unique(array_merge(...array_map(fn (string $set) => $set::mutators(), self::SETS))),
            self::ALIKE,
        ));
        $files = iterator_to_array(Finder::create()->files()->in("{$this->root}/core/{$room}")->name('*.php')->sortByName(), false);
        // Of each file as many as it has lines that run; then the sample, so that no file has to be mutated whole.
        mt_srand($seed);
        $lines = [];
        foreach ($files as $number => $file) {
            foreach (array_keys($this->covered[(string) $file->getRealPath()] ?? []) as $line) {
                $lines[] = [$number, $line];
            }
        }
        shuffle($lines);
        // Not every line can be mutated. A file is parsed once for all of its lines.
        $lines = array_slice($lines, 0, 3 * $count);
        $ofFile = [];
        foreach ($lines as [$number, $line]) {
            $ofFile[$number][] = $line;
        }
        $mutants = [];
        foreach ($ofFile as $number => $wanted) {
            foreach ((new MutationGenerator)->generate($files[$number], $mutators, $wanted) as $one) {
                $mutants[$number][$one->startLine][] = $one;
            }
        }
        $drawn = [];
        foreach ($lines as [$number, $line]) {
            $of = $mutants[$number][$line] ?? [];
            if ($of !== []) {
                $drawn[] = $of[mt_rand(0, count($of) - 1)];
            }
        }

        return array_slice($drawn, 0, $count);
    }

    /** @return list<list<string>> the tests that run there, quick ones first, in steps */
    private function steps(Mutation $mutant): array
    {
        $names = [];
        for ($line = $mutant->startLine; $line <= $mutant->endLine; $line++) {
            array_push($names, ...$this->covered[(string) $mutant->file->getRealPath()][$line] ?? []);
        }
        $names = array_values(array_unique($names));
        usort($names, fn (string $a, string $b) => $this->seconds[$a] <=> $this->seconds[$b]);
        $quick = array_values(array_filter($names, fn (string $name) => $this->seconds[$name] <= self::LONG));
        $long = array_values(array_diff($names, $quick));

        return array_values(array_filter([array_slice($quick, 0, 12), array_slice($quick, 12), $long]));
    }

    /** @param  list<string>  $names */
    private function started(Mutation $mutant, array $names): Process
    {
        $filter = implode('|', array_map(function (string $name): string {
            [$class, $method] = explode('::', $name, 2);

            return $class.'::(.*)'.str_replace(['__', '_'], ['.{1,2}', '.'], preg_replace('/^__pest_evaluable_/', '', $method) ?? '');
        }, $names));
        $files = array_values(array_unique(array_map(fn (string $name) => $this->files[$name], $names)));
        $process = new Process(
            ['php', '-d', 'memory_limit=1G', 'vendor/bin/pest', '--colors=never', '--bail', ...$files, "--filter={$filter}"],
            $this->root,
            ['PEST_MUTATION_TESTING' => $mutant->file->getRealPath(), 'PEST_MUTATION_FILE' => $mutant->modifiedSourcePath],
        );
        $process->setTimeout(self::SECONDS_MORE + self::TIMES * array_sum(array_map(fn (string $name) => $this->seconds[$name], $names)));
        $process->start();

        return $process;
    }

    /** Ends a process that takes too long; it has not succeeded then. */
    private static function isRunning(Process $process): bool
    {
        try {
            $process->checkTimeout();
        } catch (ProcessTimedOutException) {
            return false;
        }

        return $process->isRunning();
    }

    private function told(Mutation $mutant, string $why): string
    {
        return substr($mutant->file->getPathname(), strlen($this->root) + 1).":{$mutant->startLine} {$why}\n".preg_replace(
            '/<[^>]+>/',
            '',
            trim($mutant->diff),
        );
    }
}
