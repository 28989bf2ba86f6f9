<?php

declare(strict_types=1);

namespace App\Exports;

/** The book between the head of its page and its scripts: a cover, the contents, and its chapters in their order. */
final readonly class BookBody
{
    /** Bytes of a chapter up to which it is in a page at once. */
    private const AT_ONCE = 20_000;

    /** @param  list<WrittenChapter>  $chapters */
    public function __construct(private string $cover, private array $chapters)
    {
    }

    /** @param  BookAddresses|null  $later  where a page asks for long chapters once it is shown; null writes them into it */
    public function html(?BookAddresses $later = null): string
    {
        $written = fn (WrittenChapter $one, string $head = ''): string => $one->section(
            $head,
            $later === null || strlen($one->html) <= self::AT_ONCE ? null : $later->chapter($one->key),
        );
        $sheets = implode('', array_map(fn (WrittenChapter $one) => $one->sheets, $this->chapters));
        if (count($this->chapters) === 1) {
            // One part needs no contents, and is on one sheet with its head.
            return $written($this->chapters[0], $this->cover).$sheets;
        }
        $contents = implode('', array_map(fn (WrittenChapter $one) => $one->entry(), $this->chapters));

        return "{$this->cover}<nav aria-label=\"Contents\">\n<h2 class=\"on-paper\">Contents</h2>\n<ol>\n{$contents}</ol></nav>\n"
            .implode('', array_map($written(...), $this->chapters)).$sheets;
    }

    public function chapter(string $key): ?WrittenChapter
    {
        foreach ($this->chapters as $one) {
            if ($one->key === $key) {
                return $one;
            }
        }

        return null;
    }

    /** Whether a chapter is one of several. */
    public function isOneOfSeveral(string $key): bool
    {
        return count($this->chapters) > 1 && $this->chapter($key) !== null;
    }

    /**
     * With one of its chapters, and its line in the contents, behind another one.
     *
     * @param  string|null  $after  null for behind all others
     */
    public function moved(string $key, ?string $after): self
    {
        $moved = $this->chapter($key) ?? throw new \LogicException("The book has no chapter {$key}.");
        $others = array_values(array_filter($this->chapters, fn (WrittenChapter $one) => $one !== $moved));
        $keys = array_map(fn (WrittenChapter $one) => $one->key, $others);
        $at = $after === null ? count($others) - 1 : array_search($after, $keys, true);
        $at !== false || throw new \LogicException("The book has no chapter {$after}.");
        array_splice($others, $at + 1, 0, [$moved]);

        return new self($this->cover, $others);
    }
}
