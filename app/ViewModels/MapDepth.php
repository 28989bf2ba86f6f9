<?php

declare(strict_types=1);

namespace App\ViewModels;

use Illuminate\Http\Request;

/** How much the map shows. */
enum MapDepth: string
{
    /** What a person plugs: computers are closed boxes, only the sockets in use are shown. */
    case Cables = 'cables';
    /** Free sockets too: where one plugs. */
    case Sockets = 'sockets';
    /** Programs, devices and picks too, and what passes inside each unit now. */
    case Inside = 'inside';
    /** Free sockets too, and what is off. */
    case Everything = 'everything';

    public function label(): string
    {
        return ucfirst($this->value);
    }

    /** The depth at which this person has looked at a rig's map last, by its number; what is asked for now is kept. */
    public static function lookedAt(Request $request, int $rig): self
    {
        $asked = self::tryFrom(is_string($request->query('depth')) ? $request->query('depth') : '');
        if (! $request->hasSession()) {
            return self::Cables;
        }
        $key = "depth.{$rig}";
        if ($asked !== null && $request->isMethod('get')) {
            $request->session()->put($key, $asked->value);
        }

        return self::tryFrom((string) $request->session()->get($key, '')) ?? self::Cables;
    }

    public function showsFreeSockets(): bool
    {
        return $this === self::Sockets || $this === self::Everything;
    }

    public function showsInsides(): bool
    {
        return $this === self::Inside || $this === self::Everything;
    }
}
