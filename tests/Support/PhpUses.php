<?php

declare(strict_types=1);

namespace Tests\Support;

use PhpToken;

/** What a PHP file uses, read off its tokens: names of other namespaces, and functions. A name counts as used where it is imported. */
final readonly class PhpUses
{
    /** Behind these a name with a bracket is no call of a function. */
    private const NO_CALL = [T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW];

    public string $namespace;

    /** @var list<string> with their namespace */
    public array $names;

    /** @var list<string> called by name, and what the language has for output */
    public array $functions;

    public bool $isStrict;

    /** Whether each class that it declares is final. */
    public bool $isFinal;

    public function __construct(string $code)
    {
        $tokens = array_values(array_filter(PhpToken::tokenize($code), fn (PhpToken $token) => ! $token->isIgnorable()));
        $namespace = '';
        $imports = $names = $functions = [];
        $depth = 0;
        $isFinal = true;
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1] ?? null;
            $next = $tokens[$i + 1] ?? null;
            $depth += match ($token->text) {
                '{', '${' => 1, '}' => -1, default => 0,
            };
            if ($token->is(T_NAMESPACE)) {
                $namespace = (string) $next?->text;
            } elseif ($token->is(T_USE) && $depth === 0 && $next?->is([T_STRING, T_NAME_QUALIFIED])) {
                $as = ($tokens[$i + 2] ?? null)?->is(T_AS) === true ? $tokens[$i + 3]->text : basename(strtr($next->text, '\\', '/'));
                $imports[$as] = $names[] = $next->text;
            } elseif ($token->is(T_NAME_FULLY_QUALIFIED)) {
                $names[] = ltrim($token->text, '\\');
            } elseif ($token->is(T_NAME_QUALIFIED) && $before?->is($depth === 0 ? [T_NAMESPACE, T_USE] : T_NAMESPACE) !== true) {
                [$first, $rest] = explode('\\', $token->text, 2);
                $names[] = ($imports[$first] ?? "{$namespace}\\{$first}")."\\{$rest}";
            } elseif ($token->is([T_ECHO, T_PRINT]) && $next?->text !== ':' && $before?->is(self::NO_CALL) !== true) {
                $functions[] = $token->text;
            } elseif ($token->is(T_CLASS) && $before?->is([T_DOUBLE_COLON, T_NEW]) !== true) {
                $isFinal = $isFinal && ($before?->is(T_FINAL) === true || ($before?->is(T_READONLY) === true && $tokens[$i - 2]->is(T_FINAL)));
            }
            if ($next?->text === '(' && $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) && $before?->is(self::NO_CALL) !== true) {
                $functions[] = ltrim($token->text, '\\');
            }
        }
        $this->namespace = $namespace;
        $this->names = array_values(array_unique($names));
        $this->functions = array_values(array_unique($functions));
        $this->isStrict = preg_match('/^<\?php\s+declare\(strict_types=1\);/', $code) === 1;
        $this->isFinal = $isFinal;
    }

    /** @return array<string, self> of every PHP file below a folder of the project, by its path in it */
    public static function below(string $folder): array
    {
        $root = dirname(__DIR__, 2);
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$folder}", \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file->getExtension() === 'php') {
                $files[substr($file->getPathname(), strlen($root) + 1)] = new self((string) file_get_contents($file->getPathname()));
            }
        }

        return $files;
    }

    /**
     * @param  list<string>  $wanted  classes, namespaces or functions
     * @return list<string> those of them that it uses
     */
    public function uses(array $wanted): array
    {
        return array_values(array_filter($wanted, fn (string $one) => in_array($one, $this->functions, true)
            || array_filter($this->names, fn (string $name) => $name === $one || str_starts_with($name, "{$one}\\")) !== []));
    }
}
