<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Book\Practice\Attempt;
use KnottyPrism\Core\Book\Practice\Drills\Skill;

/**
 * An answer that somebody gave in practice.
 *
 * @property int $id
 * @property int $user_id
 * @property ?int $study_id
 * @property string $skill
 * @property int $difficulty
 * @property int $seed
 * @property bool $right
 * @property int $made_at seconds since 1970
 */
final class PracticeAttempt extends Model
{
    protected $fillable = ['user_id', 'study_id', 'skill', 'difficulty', 'seed', 'right', 'made_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['difficulty' => 'integer', 'seed' => 'integer', 'right' => 'boolean', 'made_at' => 'integer'];
    }

    /**
     * @return array{int, int} of which photo a question was asked, 0 where that is gone, and its seed: as {@see self::attempt()} names it
     */
    public static function studyAndSeed(Attempt $attempt): array
    {
        $parts = explode('/', $attempt->drill);

        return [(int) $parts[0], (int) end($parts)];
    }

    public function attempt(): Attempt
    {
        return new Attempt(
            Skill::from($this->skill),
            $this->difficulty,
            implode('/', [$this->study_id ?? 0, $this->skill, $this->difficulty, $this->seed]),
            $this->right,
            $this->made_at,
        );
    }
}
