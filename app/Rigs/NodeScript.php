<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Exports\NotInstalled;
use Illuminate\Support\Facades\Process;

/** One of our scripts under Node.js: JSON in, JSON out. */
final class NodeScript
{
    /** What a shell answers with where there is no such command. */
    private const NO_COMMAND = 127;

    /**
     * @param  string  $script  its path from the project's folder
     * @param  string  $what  what it does, as the beginning of a message: "To lay a map out"
     * @return array<array-key, mixed>
     *
     * @throws NotInstalled with the command that installs what is missing
     * @throws \RuntimeException with what the script says, where it fails
     */
    public static function run(string $script, mixed $input, int $seconds, string $what): array
    {
        $run = Process::path(base_path())->timeout($seconds)->input((string) json_encode($input, JSON_INVALID_UTF8_SUBSTITUTE))
            ->run(['node', $script]);
        $missing = match (true) {
            $run->exitCode() === self::NO_COMMAND => 'Node.js, which is not installed. bin/start installs it',
            str_contains($run->errorOutput(), 'ERR_MODULE_NOT_FOUND') => 'libraries that are not installed. Run "npm ci"',
            default => null,
        };
        if ($missing !== null) {
            throw new NotInstalled("{$what} takes {$missing}.");
        }
        $answer = json_decode($run->output(), true);

        return $run->successful() && is_array($answer) ? $answer : throw new \RuntimeException(trim($run->errorOutput()));
    }
}
