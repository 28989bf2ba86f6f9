<?php

declare(strict_types=1);

namespace App\Exports;

use Illuminate\Contracts\Process\InvokedProcess;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Symfony\Component\Process\ExecutableFinder;

/**
 * Sets HTML on paper: a PDF of it, by Chromium. What it sets holds users' text, so it runs in a box (bubblewrap) with no network and no
 * files but the one page and the machine's programs and fonts, for 30 s of a processor and with 1 GiB at most.
 */
final class Typesetter
{
    /** Everything but data in the page itself is refused, whatever the page asks for. */
    public const POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:";

    /** Seconds after which nobody works in a folder any more. */
    private const LEFT_FOR = 3600;

    /** How many times as long it may take by the clock. */
    private const PATIENCE = 4;

    /** Units of /proc/PID/stat a second (USER_HZ of Linux). */
    private const TICKS = 100;

    /** By the shell without windows; else by the whole browser, which starts more slowly. */
    private const BROWSERS = ['chromium-headless-shell', 'chromium'];

    private const FLAGS = [
        '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync', '--disable-extensions', '--disable-dev-shm-usage', '--no-pdf-header-footer',
        '--user-data-dir=/tmp/profile',
        '--print-to-pdf=/page/page.pdf', 'file:///page/page.html',
    ];

    /**
     * @param  int  $seconds  of a processor that one setting may take; four times as long by the clock, where others work too
     * @param  int  $mib  that it may hold
     */
    public function __construct(private readonly int $seconds = 30, private readonly int $mib = 1024)
    {
    }

    /**
     * @param  string  $html  a whole page
     * @return string the PDF
     *
     * @throws NotInstalled where Chromium or its box is missing
     * @throws \RuntimeException where it fails, or takes longer or more than it may
     */
    public function pdf(string $html): string
    {
        return $this->in(function (string $folder) use ($html): string {
            $this->print($folder, $html, ['--generate-pdf-document-outline']);

            return (string) file_get_contents("{$folder}/page.pdf");
        });
    }

    /**
     * The same with the pages known on which things stand, for a list of contents: it is set twice.
     *
     * @param  callable(array<string, int>|null): string  $html  makes the page; given are page numbers by id, null at first, where only the
     *     room that things take counts
     */
    public function paged(callable $html): string
    {
        return $this->in(function (string $folder) use ($html): string {
            $this->print($folder, $html(null), ['--disable-pdf-tagging']);
            $pages = array_map(fn (array $at) => $at[0], $this->destinations("{$folder}/page.pdf"));
            $this->print($folder, $html($pages), ['--generate-pdf-document-outline']);

            return (string) file_get_contents("{$folder}/page.pdf");
        });
    }

    /**
     * Where things stand on paper.
     *
     * @param  string  $html  a whole page
     * @return array<string, array{int, float}> by id, in the order in which they stand: the page, and how far down on it, in points
     */
    public function places(string $html): array
    {
        return $this->in(function (string $folder) use ($html): array {
            $this->print($folder, $html, ['--disable-pdf-tagging']);

            return $this->destinations("{$folder}/page.pdf");
        });
    }

    /** Deletes what settings have left behind whose process was killed. */
    public static function tidy(): void
    {
        foreach (File::isDirectory(self::folder()) ? File::directories(self::folder()) : [] as $left) {
            if (filemtime($left) < time() - self::LEFT_FOR) {
                File::deleteDirectory($left);
            }
        }
    }

    private static function folder(): string
    {
        return storage_path('framework/print');
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $do  with a folder of its own
     * @return T
     */
    private function in(callable $do): mixed
    {
        $folder = self::folder().'/'.getmypid().'-'.Str::lower(Str::random(20));
        File::ensureDirectoryExists(self::folder());
        File::makeDirectory($folder, 0700);
        try {
            return $do($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** @param  list<string>  $flags */
    private function print(string $folder, string $html, array $flags): void
    {
        $browser = array_values(array_filter(self::BROWSERS, fn (string $one) => (new ExecutableFinder)->find($one) !== null))[0] ?? null;
        if ($browser === null || (new ExecutableFinder)->find('bwrap') === null) {
            throw new NotInstalled('A PDF takes Chromium and bubblewrap. Install them (apt-get install chromium-headless-shell '
                .'bubblewrap), or start with bin/start. Until then the book on the screen can be printed.');
        }
        File::put("{$folder}/page.html", $html);
        File::delete("{$folder}/page.pdf");
        $run = Process::timeout(self::PATIENCE * $this->seconds + 10)->start([...$this->box($folder), $browser, ...$flags, ...self::FLAGS]);
        $trouble = $this->watch($run);
        $result = $run->wait();
        if ($trouble !== null) {
            throw new \RuntimeException($trouble);
        }
        if (! is_file("{$folder}/page.pdf")) {
            throw str_contains($result->errorOutput(), 'new namespace')
                ? new NotInstalled('A PDF is made in a box of its own, and this machine allows none: user namespaces are switched off '
                    .'(sysctl kernel.unprivileged_userns_clone, or a container). Until then the book on the screen can be printed.')
                : new \RuntimeException('The PDF could not be made: '.trim($result->errorOutput()));
        }
    }

    /** Ends it where it goes past its limits. @return string|null why, as a sentence */
    private function watch(InvokedProcess $run): ?string
    {
        $begun = hrtime(true);
        while ($run->running()) {
            [$seconds, $mib] = self::taken((int) $run->id());
            $isLate = $seconds > $this->seconds || hrtime(true) - $begun > self::PATIENCE * $this->seconds * 1e9;
            $trouble = match (true) {
                $isLate => "It takes longer than {$this->seconds} s to set on paper. Pick fewer parts.",
                $mib > $this->mib => "It takes more than {$this->mib} MiB to set on paper. Pick fewer parts.",
                default => null,
            };
            if ($trouble !== null) {
                // The box ends with its first process.
                $run->signal(SIGKILL);

                return $trouble;
            }
            usleep(50_000);
        }

        return null;
    }

    /**
     * What a process and all that it has begun have taken so far.
     *
     * @return array{float, float} seconds of a processor, and MiB held now; what they share counts once each
     */
    private static function taken(int $process): array
    {
        $memory = (string) @file_get_contents("/proc/{$process}/smaps_rollup");
        $mib = preg_match('/^Pss:\s+(\d+) kB/m', $memory, $found) === 1 ? (int) $found[1] / 1024 : 0.0;
        // Behind the name, in parentheses: the 12th and 13th are its own time, the next two that of what it began and has ended.
        $stat = explode(' ', substr((string) strrchr((string) @file_get_contents("/proc/{$process}/stat"), ')'), 2));
        $seconds = array_sum(array_map(intval(...), array_slice($stat, 11, 4))) / self::TICKS;
        foreach (explode(' ', trim((string) @file_get_contents("/proc/{$process}/task/{$process}/children"))) as $child) {
            [$more, $larger] = $child === '' ? [0.0, 0.0] : self::taken((int) $child);
            $seconds += $more;
            $mib += $larger;
        }

        return [$seconds, $mib];
    }

    /** @return list<string> */
    private function box(string $folder): array
    {
        $parts = ['bwrap', '--unshare-all', '--die-with-parent', '--new-session', '--clearenv', '--setenv', 'HOME', '/tmp',
            '--setenv', 'PATH', '/usr/bin', '--ro-bind', '/usr', '/usr', '--proc', '/proc', '--dev', '/dev', '--tmpfs', '/tmp',
            '--bind', $folder, '/page', '--chdir', '/page'];
        foreach (['bin', 'lib', 'lib64'] as $link) {
            $parts = [...$parts, '--symlink', "usr/{$link}", "/{$link}"];
        }
        foreach (['/etc/fonts', '/etc/chromium.d', '/etc/alternatives', '/etc/passwd'] as $file) {
            $parts = [...$parts, '--ro-bind-try', $file, $file];
        }

        return $parts;
    }

    /** @return array<string, array{int, float}> page and points from its top, by id of the element */
    private function destinations(string $file): array
    {
        $run = Process::timeout($this->seconds)->run(['pdfinfo', '-dests', $file]);
        preg_match_all('/^\s*(\d+)\s+\[\s*XYZ\s+\S+\s+([\d.]+).*?\]\s+"(.+)"$/m', $run->output(), $found, PREG_SET_ORDER);
        $sizes = Process::timeout($this->seconds)->run(['pdfinfo', '-f', '1', '-l', '-1', $file])->output();
        preg_match_all('/^Page\s+(\d+) size:\s+[\d.]+ x ([\d.]+) pts/m', $sizes, $heights);
        $heights = array_combine($heights[1], $heights[2]);
        $places = [];
        foreach ($found as [, $page, $up, $id]) {
            $places[$id] = [(int) $page, (float) ($heights[$page] ?? 0) - (float) $up];
        }
        uasort($places, fn (array $a, array $b) => $a <=> $b);

        return $places;
    }
}
