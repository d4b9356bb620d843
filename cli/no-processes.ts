// Stands for what starts other processes, in commands that start none.
export {};
