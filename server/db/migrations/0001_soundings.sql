CREATE TABLE `imports` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`water_id` text NOT NULL,
	`at` text NOT NULL,
	`label` text NOT NULL,
	`level_m` real,
	`count` integer NOT NULL,
	`excluded` integer NOT NULL,
	`undone` integer NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `imports_by_water` ON `imports` (`owner_id`,`water_id`);--> statement-breakpoint
CREATE TABLE `levels` (
	`owner_id` text NOT NULL,
	`water_id` text NOT NULL,
	`at` text NOT NULL,
	`level_m` real NOT NULL,
	PRIMARY KEY(`water_id`, `at`),
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `waters` ADD `cell_m` real DEFAULT 5 NOT NULL;--> statement-breakpoint
ALTER TABLE `waters` ADD `reference_level_m` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `waters` ADD `held_out_m` real;