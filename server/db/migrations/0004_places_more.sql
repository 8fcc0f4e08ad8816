CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`water_id` text NOT NULL,
	`place_id` text NOT NULL,
	`at` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`place_id`) REFERENCES `places`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_by_place` ON `photos` (`owner_id`,`place_id`);--> statement-breakpoint
ALTER TABLE `anglers` ADD `current_side` text DEFAULT 'up' NOT NULL;--> statement-breakpoint
ALTER TABLE `anglers` ADD `rod_m` real DEFAULT 2.13 NOT NULL;--> statement-breakpoint
ALTER TABLE `places` ADD `shape` text;--> statement-breakpoint
ALTER TABLE `places` ADD `notes` text;