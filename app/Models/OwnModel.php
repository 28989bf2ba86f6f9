<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Equipment\EquipmentModel;
use Illuminate\Database\Eloquent\Model;

/**
 * An equipment model that a person made: as a document holds it.
 *
 * @property int $id
 * @property int $user_id
 * @property string $key
 * @property string $document
 */
final class OwnModel extends Model
{
    protected $table = 'own_models';

    protected $fillable = ['key', 'document'];

    /** The model, which was sound when it was kept; null where it is not any more. */
    public function model(): ?EquipmentModel
    {
        try {
            return (new DocumentReader)->model(Json::decode($this->document), $this->key, [$this->key]);
        } catch (InvalidDocument) {
            return null;
        }
    }
}
