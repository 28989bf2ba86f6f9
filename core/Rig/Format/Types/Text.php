<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\PlainText;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\With;

/** A text in plain characters. */
final readonly class Text implements Type
{
    use With;

    /**
     * @param  string  $says  said instead of what exactly is wrong with it
     * @param  string  $pattern  that the text has, without delimiters; empty for any
     * @param  string  $unlike  said where it has not
     * @param  int  $before  before this version of the format it had `$mostBefore` characters
     */
    private function __construct(
        private int $most,
        private bool $isFilled = false,
        private string $says = '',
        private string $pattern = '',
        private string $unlike = '',
        private int $before = 0,
        private int $mostBefore = 0,
        private bool $isNone = false,
    ) {
    }

    public static function upTo(int $most): self
    {
        return new self($most);
    }

    /** Not empty. */
    public static function filled(int $most): self
    {
        return new self($most, true);
    }

    /** Null where it is empty. */
    public function orNone(): self
    {
        return $this->with(isNone: true);
    }

    public function saying(string $says): self
    {
        return $this->with(says: $says);
    }

    public function like(string $pattern, string $unlike): self
    {
        return $this->with(pattern: $pattern, unlike: $unlike);
    }

    public function before(int $version, int $most): self
    {
        return $this->with(before: $version, mostBefore: $most);
    }

    public function read(mixed $value, Reading $in): ?string
    {
        $trouble = $this->trouble($value, $in->version < $this->before ? $this->mostBefore : $this->most);
        if ($trouble !== null) {
            return $in->problem($this->says === '' ? $trouble : $this->says);
        }
        assert(is_string($value));
        if ($value !== '' && $this->pattern !== '' && preg_match('~'.$this->pattern.'~Du', $value) !== 1) {
            return $in->problem($this->unlike);
        }

        return $value === '' && $this->isNone ? null : $value;
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value;
    }

    public function what(): string
    {
        return 'a text';
    }

    public function usual(): mixed
    {
        return $this->isNone ? null : '';
    }

    public function schema(Definitions $definitions): array
    {
        return [
            'type' => 'string', 'maxLength' => $this->most,
            ...($this->isFilled ? ['minLength' => 1, 'pattern' => '\S'] : []),
            ...($this->pattern === '' ? [] : ['pattern' => $this->isFilled ? $this->pattern : "^\$|{$this->pattern}"]),
        ];
    }

    private function trouble(mixed $value, int $most): ?string
    {
        return match (true) {
            ! is_string($value) => 'This has to be a text.',
            $this->isFilled && trim($value) === '' => 'This text may not be empty.',
            strlen($value) > $most && mb_strlen($value) > $most => "This text has {$most} characters at most.",
            // Most texts are plain, and there are many.
            preg_match('/[^\x20-\x7E]/', $value) !== 1 => null,
            PlainText::hasControls($value) => 'This text holds control characters that can\'t be shown.',
            PlainText::hasNoCharacters($value) => 'This text holds code points that are no characters (U+FFFE is one). Take them out.',
            default => null,
        };
    }
}
