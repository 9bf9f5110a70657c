<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Pictures of a sign, a line or a view, hung on a road of a site. Kept with everything else, so that a back-up holds them too. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        // In one statement: it is there whole or not at all. `lines` are drawn on it, in shares of its width and height; `image` is a JPEG without
        // anything but the picture, as base64, since a line of a back-up is text.
        DB::statement('CREATE TABLE IF NOT EXISTS pictures (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, site_id UUID NOT NULL, arm VARCHAR(20) NOT NULL, note VARCHAR(300) NULL,
            width SMALLINT UNSIGNED NOT NULL, height SMALLINT UNSIGNED NOT NULL, `lines` JSON NOT NULL, image LONGTEXT NOT NULL,
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            CONSTRAINT pictures_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT pictures_site FOREIGN KEY (school_id, site_id) REFERENCES sites (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
    }

    public function down(): void
    {
        Schema::dropIfExists('pictures');
    }
};
